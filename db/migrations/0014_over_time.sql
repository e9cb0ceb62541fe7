CREATE TABLE `series` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`class_id` text NOT NULL,
	`author_id` text NOT NULL,
	`version` integer NOT NULL,
	`created_at` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`author_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `series_by_class` ON `series` (`class_id`);--> statement-breakpoint
CREATE TABLE `series_releases` (
	`series_id` text NOT NULL,
	`row_id` text NOT NULL,
	`assignment_id` text NOT NULL,
	PRIMARY KEY(`series_id`, `row_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `series_releases_by_work` ON `series_releases` (`assignment_id`);--> statement-breakpoint
CREATE TABLE `standing` (
	`id` text PRIMARY KEY NOT NULL,
	`plan_id` text NOT NULL,
	`lesson_id` text NOT NULL,
	`position` integer NOT NULL,
	`version` integer NOT NULL,
	`is_gone` integer DEFAULT false NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `standing_by_plan` ON `standing` (`plan_id`);--> statement-breakpoint
CREATE TABLE `standing_laid` (
	`standing_id` text NOT NULL,
	`class_id` text NOT NULL,
	`assignment_id` text,
	`base` text,
	`refused` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`standing_id`, `class_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `standing_laid_by_class` ON `standing_laid` (`class_id`);--> statement-breakpoint
CREATE INDEX `standing_laid_by_work` ON `standing_laid` (`assignment_id`);