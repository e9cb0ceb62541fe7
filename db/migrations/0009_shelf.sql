CREATE TABLE `class_shelves` (
	`class_id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `guide_pointers` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text,
	`from_piece` text,
	`from_standard` text,
	`to_piece` text NOT NULL,
	`is_off` integer NOT NULL,
	FOREIGN KEY (`from_piece`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`to_piece`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `guide_pointers_by_piece` ON `guide_pointers` (`from_piece`);--> statement-breakpoint
CREATE INDEX `guide_pointers_by_standard` ON `guide_pointers` (`from_standard`);--> statement-breakpoint
CREATE TABLE `practice_done` (
	`learner_id` text NOT NULL,
	`resource_id` text NOT NULL,
	`times` integer NOT NULL,
	`ratio` real,
	`done_at` integer NOT NULL,
	PRIMARY KEY(`learner_id`, `resource_id`),
	FOREIGN KEY (`learner_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`resource_id`) REFERENCES `resources`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `practice_routes` (
	`id` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`book_id` text NOT NULL,
	`opened_by` text NOT NULL,
	`opened_at` integer NOT NULL,
	`closed_at` integer,
	FOREIGN KEY (`class_id`) REFERENCES `classes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`book_id`) REFERENCES `books`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`opened_by`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `practice_routes_by_class` ON `practice_routes` (`class_id`);--> statement-breakpoint
CREATE TABLE `shelf_imports` (
	`id` text PRIMARY KEY NOT NULL,
	`user_id` text NOT NULL,
	`made_at` integer NOT NULL,
	`name` text NOT NULL,
	`body` text NOT NULL,
	`taken_back_at` integer,
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shelf_imports_by_user` ON `shelf_imports` (`user_id`,`made_at`);--> statement-breakpoint
CREATE TABLE `trays` (
	`user_id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`user_id`) REFERENCES `users`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `frameworks` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text,
	`title` text NOT NULL,
	`outside_id` text
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_standards` (
	`id` text PRIMARY KEY NOT NULL,
	`school_id` text,
	`framework_id` text,
	`code` text NOT NULL,
	`text` text NOT NULL,
	`level` text NOT NULL,
	`parent` text,
	`requires` text NOT NULL,
	`position` integer NOT NULL,
	`outside_id` text,
	FOREIGN KEY (`framework_id`) REFERENCES `frameworks`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_standards`("id", "school_id", "framework_id", "code", "text", "level", "parent", "requires", "position", "outside_id") SELECT "code", NULL, NULL, "code", "text", 'standard', NULL, '[]', row_number() OVER (ORDER BY "code"), NULL FROM `standards`;--> statement-breakpoint
DROP TABLE `standards`;--> statement-breakpoint
ALTER TABLE `__new_standards` RENAME TO `standards`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `standards_by_code` ON `standards` (`code`);--> statement-breakpoint
CREATE INDEX `standards_by_school` ON `standards` (`school_id`,`position`);--> statement-breakpoint
ALTER TABLE `resources` ADD `language` text DEFAULT 'en' NOT NULL;--> statement-breakpoint
ALTER TABLE `resources` ADD `reading_level` integer;--> statement-breakpoint
ALTER TABLE `resources` ADD `is_shared` integer DEFAULT true NOT NULL;--> statement-breakpoint
DROP TRIGGER `piece_added`;--> statement-breakpoint
DROP TRIGGER `piece_changed`;--> statement-breakpoint
DROP TRIGGER `piece_removed`;--> statement-breakpoint
DROP VIEW `piece_texts`;--> statement-breakpoint
DROP TABLE `piece_words`;--> statement-breakpoint
DROP TABLE `piece_facts`;--> statement-breakpoint
CREATE TABLE `piece_facts` (
	`doc` integer PRIMARY KEY,
	`resource_id` text NOT NULL UNIQUE,
	`school_id` text,
	`owner_id` text,
	`is_shared` integer NOT NULL,
	`kind` text NOT NULL,
	`role` text NOT NULL,
	`grade` integer NOT NULL,
	`minutes` integer NOT NULL,
	`position` integer NOT NULL,
	`language` text NOT NULL,
	`reading_level` integer,
	`title` text NOT NULL
);
--> statement-breakpoint
CREATE VIRTUAL TABLE `piece_words` USING fts5(title, code, standards, words, content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3');
--> statement-breakpoint
CREATE VIEW `piece_texts` AS SELECT f.doc, r.id, r.title, r.code,
	(SELECT group_concat(value, ' ') FROM json_each(r.body, '$.standards')) AS standards,
	coalesce(r.body ->> '$.content', '') || ' ' || coalesce(r.body ->> '$.transcript', '') || ' ' ||
		coalesce((SELECT group_concat(value ->> '$.stem', ' ') FROM json_each(r.body, '$.items')), '') || ' ' ||
		coalesce((SELECT group_concat(value ->> '$.word', ' ') FROM json_each(r.body, '$.words')), '') AS words
	FROM resources r JOIN piece_facts f ON f.resource_id = r.id;
--> statement-breakpoint
INSERT INTO `piece_facts` (resource_id, school_id, owner_id, is_shared, kind, role, grade, minutes, position, language, reading_level, title) SELECT r.id, r.school_id, r.owner_id, r.is_shared, r.kind, r.role, r.grade, r.minutes, r.position, r.language, r.reading_level, r.title FROM `resources` r;
--> statement-breakpoint
INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts;
--> statement-breakpoint
CREATE TRIGGER `piece_added` AFTER INSERT ON `resources` BEGIN
	INSERT INTO piece_facts (resource_id, school_id, owner_id, is_shared, kind, role, grade, minutes, position, language, reading_level, title) VALUES (new.id, new.school_id, new.owner_id, new.is_shared, new.kind, new.role, new.grade, new.minutes, new.position, new.language, new.reading_level, new.title);
	INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts WHERE id = new.id;
END;
--> statement-breakpoint
CREATE TRIGGER `piece_changed` AFTER UPDATE ON `resources` BEGIN
	DELETE FROM piece_words WHERE rowid = (SELECT doc FROM piece_facts WHERE resource_id = old.id);
	DELETE FROM piece_facts WHERE resource_id = old.id;
	INSERT INTO piece_facts (resource_id, school_id, owner_id, is_shared, kind, role, grade, minutes, position, language, reading_level, title) VALUES (new.id, new.school_id, new.owner_id, new.is_shared, new.kind, new.role, new.grade, new.minutes, new.position, new.language, new.reading_level, new.title);
	INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts WHERE id = new.id;
END;
--> statement-breakpoint
CREATE TRIGGER `piece_removed` AFTER DELETE ON `resources` BEGIN
	DELETE FROM piece_words WHERE rowid = (SELECT doc FROM piece_facts WHERE resource_id = old.id);
	DELETE FROM piece_facts WHERE resource_id = old.id;
END;
