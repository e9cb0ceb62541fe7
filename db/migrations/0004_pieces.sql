CREATE TABLE `resource_revisions` (
	`resource_id` text NOT NULL,
	`revision` integer NOT NULL,
	`title` text NOT NULL,
	`minutes` integer NOT NULL,
	`item_count` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`resource_id`, `revision`),
	FOREIGN KEY (`resource_id`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `assignment_pieces` (
	`assignment_id` text NOT NULL,
	`id` text NOT NULL,
	`position` integer NOT NULL,
	`resource_id` text NOT NULL,
	`revision` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`assignment_id`, `id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resource_id`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `assignment_pieces` SELECT `id`, 'p1', 0, `resource_id`, 1, '{"v":1,"when":"in","leastMinutes":0,"window":{},"rules":{}}' FROM `assignments`;--> statement-breakpoint
CREATE INDEX `pieces_by_resource` ON `assignment_pieces` (`resource_id`,`revision`);--> statement-breakpoint
DROP INDEX `attempts_once`;--> statement-breakpoint
ALTER TABLE `attempts` ADD `piece_id` text DEFAULT 'p1' NOT NULL;--> statement-breakpoint
ALTER TABLE `attempts` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX `attempts_once` ON `attempts` (`assignment_id`,`learner_id`,`piece_id`,`number`);--> statement-breakpoint
CREATE TABLE `__new_learner_work` (
	`assignment_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`piece_id` text NOT NULL,
	`class_id` text NOT NULL,
	`listed_at` integer,
	`opens_at` integer,
	`due_at` integer,
	`closes_at` integer,
	`put_away_at` integer,
	`max_attempts` integer,
	`time_limit_minutes` integer,
	`because` text NOT NULL,
	PRIMARY KEY(`assignment_id`, `learner_id`, `piece_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_learner_work`("assignment_id", "learner_id", "piece_id", "class_id", "listed_at", "opens_at", "due_at", "closes_at", "put_away_at", "max_attempts", "time_limit_minutes", "because") SELECT "assignment_id", "learner_id", 'p1', "class_id", "listed_at", "opens_at", "due_at", "closes_at", "put_away_at", "max_attempts", "time_limit_minutes", "because" FROM `learner_work`;--> statement-breakpoint
DROP TABLE `learner_work`;--> statement-breakpoint
ALTER TABLE `__new_learner_work` RENAME TO `learner_work`;--> statement-breakpoint
CREATE INDEX `learner_work_by_learner` ON `learner_work` (`learner_id`);--> statement-breakpoint
CREATE INDEX `learner_work_by_class` ON `learner_work` (`class_id`);--> statement-breakpoint
ALTER TABLE `resources` ADD `revision` integer DEFAULT 1 NOT NULL;