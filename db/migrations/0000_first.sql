CREATE TABLE `class_teachers` (
	`class_id` text NOT NULL,
	`user_id` text NOT NULL,
	PRIMARY KEY(`class_id`, `user_id`),
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `class_teachers_by_user` ON `class_teachers` (`user_id`);--> statement-breakpoint
CREATE TABLE `classes` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`year_id` text NOT NULL,
	`name` text NOT NULL,
	`short_name` text NOT NULL,
	`course` text NOT NULL,
	`join_code` text NOT NULL,
	`plan_id` text,
	`position` integer NOT NULL,
	`version` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`year_id`) REFERENCES `years`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `classes_joinCode_unique` ON `classes` (`join_code`);--> statement-breakpoint
CREATE INDEX `classes_by_school` ON `classes` (`school_id`);--> statement-breakpoint
CREATE TABLE `enrolments` (
	`class_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`joined_at` integer NOT NULL,
	`left_at` integer,
	PRIMARY KEY(`class_id`, `learner_id`),
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `enrolments_by_learner` ON `enrolments` (`learner_id`);--> statement-breakpoint
CREATE TABLE `years` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`version` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `years_by_school` ON `years` (`school_id`);--> statement-breakpoint
CREATE TABLE `books` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text,
	`position` integer NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `resources` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text,
	`owner_id` text,
	`book_id` text,
	`book_lesson_id` text,
	`position` integer NOT NULL,
	`code` text NOT NULL,
	`title` text NOT NULL,
	`kind` text NOT NULL,
	`role` text NOT NULL,
	`minutes` integer NOT NULL,
	`grade` integer NOT NULL,
	`item_count` integer NOT NULL,
	`body` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `resources_by_book` ON `resources` (`book_id`,`position`);--> statement-breakpoint
CREATE INDEX `resources_by_school` ON `resources` (`school_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `resources_code` ON `resources` (`book_id`,`school_id`,`code`);--> statement-breakpoint
CREATE TABLE `standards` (
	`code` text PRIMARY KEY NOT NULL,
	`text` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `journal` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`school_id` text NOT NULL,
	`class_id` text NOT NULL,
	`actor_id` text NOT NULL,
	`at` integer NOT NULL,
	`state` text NOT NULL,
	`command` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`actor_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `journal_by_actor` ON `journal` (`actor_id`,`state`,`seq`);--> statement-breakpoint
CREATE TABLE `plans` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`owner_id` text NOT NULL,
	`book_id` text,
	`version` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plans_by_school` ON `plans` (`school_id`);--> statement-breakpoint
CREATE TABLE `group_members` (
	`group_id` text NOT NULL,
	`learner_id` text NOT NULL,
	PRIMARY KEY(`group_id`, `learner_id`),
	FOREIGN KEY (`group_id`) REFERENCES `groups`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `groups` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`owner_id` text NOT NULL,
	`class_id` text NOT NULL,
	`name` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`owner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `groups_by_class` ON `groups` (`class_id`);--> statement-breakpoint
CREATE TABLE `schools` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`user_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sessions_by_user` ON `sessions` (`user_id`);--> statement-breakpoint
CREATE TABLE `throttles` (
	`key` text PRIMARY KEY NOT NULL,
	`failures` integer NOT NULL,
	`since_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `users` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`name` text NOT NULL,
	`sign_in` text NOT NULL,
	`password_hash` text NOT NULL,
	`role` text NOT NULL,
	`office` integer NOT NULL,
	`time_percent` integer NOT NULL,
	`extra_attempts` integer NOT NULL,
	`extra_days` integer NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `users_signIn_unique` ON `users` (`sign_in`);--> statement-breakpoint
CREATE INDEX `users_by_school` ON `users` (`school_id`);--> statement-breakpoint
CREATE TABLE `answers` (
	`attempt_id` text NOT NULL,
	`item_id` text NOT NULL,
	`value` text NOT NULL,
	`saved_at` integer NOT NULL,
	PRIMARY KEY(`attempt_id`, `item_id`),
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `assignment_exceptions` (
	`assignment_id` text NOT NULL,
	`learner_id` text NOT NULL,
	PRIMARY KEY(`assignment_id`, `learner_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `assignment_targets` (
	`assignment_id` text NOT NULL,
	`kind` text NOT NULL,
	`ref_id` text NOT NULL,
	`position` integer NOT NULL,
	`overrides` text NOT NULL,
	PRIMARY KEY(`assignment_id`, `kind`, `ref_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `targets_by_ref` ON `assignment_targets` (`kind`,`ref_id`);--> statement-breakpoint
CREATE TABLE `assignments` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text NOT NULL,
	`author_id` text NOT NULL,
	`resource_id` text NOT NULL,
	`title` text NOT NULL,
	`note` text NOT NULL,
	`state` text NOT NULL,
	`version` integer NOT NULL,
	`created_at` integer NOT NULL,
	`published_at` integer,
	`body` text NOT NULL,
	FOREIGN KEY (`school_id`) REFERENCES `schools`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`author_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resource_id`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `assignments_by_school` ON `assignments` (`school_id`);--> statement-breakpoint
CREATE TABLE `attempts` (
	`id` text PRIMARY KEY NOT NULL,
	`assignment_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`number` integer NOT NULL,
	`started_at` integer NOT NULL,
	`deadline_at` integer,
	`submitted_at` integer,
	`ended_by` text,
	`score` text,
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `attempts_once` ON `attempts` (`assignment_id`,`learner_id`,`number`);--> statement-breakpoint
CREATE INDEX `attempts_by_learner` ON `attempts` (`learner_id`);--> statement-breakpoint
CREATE TABLE `learner_work` (
	`assignment_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`class_id` text NOT NULL,
	`listed_at` integer,
	`opens_at` integer,
	`due_at` integer,
	`closes_at` integer,
	`put_away_at` integer,
	`max_attempts` integer,
	`time_limit_minutes` integer,
	`because` text NOT NULL,
	PRIMARY KEY(`assignment_id`, `learner_id`),
	FOREIGN KEY (`assignment_id`) REFERENCES `assignments`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `learner_work_by_learner` ON `learner_work` (`learner_id`);--> statement-breakpoint
CREATE INDEX `learner_work_by_class` ON `learner_work` (`class_id`);