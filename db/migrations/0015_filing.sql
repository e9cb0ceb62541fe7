CREATE TABLE `class_filing` (
	`class_id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `work_queue` (
	`assignment_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`class_id` text NOT NULL,
	`since` integer NOT NULL,
	`opens_at` integer,
	`ends_at` integer,
	`pieces` integer NOT NULL,
	PRIMARY KEY(`assignment_id`, `learner_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `work_queue_by_learner` ON `work_queue` (`learner_id`);--> statement-breakpoint
CREATE INDEX `work_queue_by_class` ON `work_queue` (`class_id`);