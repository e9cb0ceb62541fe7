ALTER TABLE `users` ADD `grade` integer;--> statement-breakpoint
ALTER TABLE `assignments` ADD `settled` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `attempts` ADD `ratio` real;--> statement-breakpoint
ALTER TABLE `learner_work` ADD `rules` text;--> statement-breakpoint
UPDATE `attempts` SET `ratio` = `score` ->> '$.ratio' WHERE `score` IS NOT NULL;
