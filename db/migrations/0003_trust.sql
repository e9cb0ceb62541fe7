CREATE TABLE `known_places` (
	`user_id` text NOT NULL,
	`id` text NOT NULL,
	`seen_at` integer NOT NULL,
	PRIMARY KEY(`user_id`, `id`),
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `classes` ADD `join_open` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `classes` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `years` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `plans` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `groups` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `throttles` ADD `next_at` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `throttles` ADD `expires_at` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX `throttles_by_expiry` ON `throttles` (`expires_at`);--> statement-breakpoint
ALTER TABLE `users` ADD `must_change_password` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `answers` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `answers` ADD `writer` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `answers` ADD `edit` integer DEFAULT 0 NOT NULL;