ALTER TABLE `practice_done` ADD `missed` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `practice_routes` ADD `learner_ids` text;--> statement-breakpoint
ALTER TABLE `practice_routes` ADD `waits` integer DEFAULT false NOT NULL;