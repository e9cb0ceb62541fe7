CREATE TABLE `handed_files` (
	`assignment_id` text NOT NULL,
	`piece_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`file_id` text NOT NULL,
	`handed_at` integer NOT NULL,
	PRIMARY KEY(`assignment_id`, `piece_id`, `learner_id`, `file_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`file_id`) REFERENCES `kept_files`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `handed_files_by_file` ON `handed_files` (`file_id`);--> statement-breakpoint
CREATE TABLE `kept_files` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`owner_id` text NOT NULL,
	`name` text NOT NULL,
	`sort` text NOT NULL,
	`type` text NOT NULL,
	`size` integer NOT NULL,
	`made_at` integer NOT NULL,
	`bytes` blob NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
