ALTER TABLE `answers` ADD `is_final` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `attempts` ADD `items` text;