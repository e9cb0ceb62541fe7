CREATE TABLE `notices` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`learner_id` text NOT NULL,
	`assignment_id` text NOT NULL,
	`kind` text NOT NULL,
	`at` integer NOT NULL,
	`from_at` integer NOT NULL,
	`read_at` integer,
	`mailed_at` integer,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `notices_by_learner` ON `notices` (`learner_id`,`from_at`);--> statement-breakpoint
CREATE INDEX `notices_to_mail` ON `notices` (`mailed_at`,`from_at`);--> statement-breakpoint
CREATE INDEX `notices_by_work` ON `notices` (`assignment_id`);--> statement-breakpoint
CREATE TABLE `presets` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`name` text NOT NULL,
	`class_id` text,
	`kind` text,
	`rules` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `presets_by_owner` ON `presets` (`owner_id`);--> statement-breakpoint
DROP INDEX `attempts_by_learner`;--> statement-breakpoint
ALTER TABLE `attempts` ADD `shared_from` text;--> statement-breakpoint
CREATE INDEX `attempts_by_learner` ON `attempts` (`learner_id`,`submitted_at`);--> statement-breakpoint
ALTER TABLE `groups` ADD `rule` text;--> statement-breakpoint
CREATE INDEX `learner_work_closing` ON `learner_work` (`assignment_id`,`piece_id`,`closes_at`);