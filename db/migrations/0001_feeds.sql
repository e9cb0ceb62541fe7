CREATE TABLE `feeds` (
	`token` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`user_id` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `feeds_by_class` ON `feeds` (`class_id`,`user_id`);--> statement-breakpoint
ALTER TABLE `journal` ADD `touches` text DEFAULT '' NOT NULL;--> statement-breakpoint
UPDATE `journal` SET `touches` = ' ' || `class_id` || ' ';