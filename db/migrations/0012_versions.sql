CREATE TABLE `class_trails` (
	`class_id` text PRIMARY KEY NOT NULL,
	`trail_id` text NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `layers` (
	`school_id` text NOT NULL,
	`resource_id` text NOT NULL,
	`trail_id` text NOT NULL,
	`body` text NOT NULL,
	`version` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`school_id`, `resource_id`, `trail_id`),
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resource_id`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`changed_by`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `layers_by_piece` ON `layers` (`resource_id`);--> statement-breakpoint
CREATE TABLE `learner_trails` (
	`class_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`trail_id` text NOT NULL,
	`changed_at` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`class_id`, `learner_id`),
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`changed_by`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `trail_settings` (
	`school_id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`version` integer NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `learner_work` ADD `version` text;