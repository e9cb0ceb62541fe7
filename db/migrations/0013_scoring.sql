CREATE TABLE `kept_comments` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`text` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_comments_by_owner` ON `kept_comments` (`owner_id`);--> statement-breakpoint
CREATE TABLE `score_drafts` (
	`attempt_id` text NOT NULL,
	`item_id` text NOT NULL,
	`body` text NOT NULL,
	`version` integer NOT NULL,
	`changed_by` text NOT NULL,
	PRIMARY KEY(`attempt_id`, `item_id`),
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`changed_by`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
UPDATE `attempts` SET `ratio` = NULL WHERE json_extract(`score`, '$.waiting') = json_extract(`score`, '$.of');
