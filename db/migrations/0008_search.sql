CREATE TABLE `piece_facts` (
	`doc` integer PRIMARY KEY,
	`resource_id` text NOT NULL UNIQUE,
	`school_id` text,
	`kind` text NOT NULL,
	`role` text NOT NULL,
	`grade` integer NOT NULL,
	`minutes` integer NOT NULL,
	`position` integer NOT NULL,
	`title` text NOT NULL
);
--> statement-breakpoint
CREATE VIRTUAL TABLE `piece_words` USING fts5(title, code, standards, words, content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3');
--> statement-breakpoint
CREATE VIEW `piece_texts` AS SELECT f.doc, r.id, r.title, r.code,
	(SELECT group_concat(value, ' ') FROM json_each(r.body, '$.standards')) AS standards,
	coalesce(r.body ->> '$.content', '') || ' ' ||
		coalesce((SELECT group_concat(value ->> '$.stem', ' ') FROM json_each(r.body, '$.items')), '') AS words
	FROM resources r JOIN piece_facts f ON f.resource_id = r.id;
--> statement-breakpoint
INSERT INTO `piece_facts` (resource_id, school_id, kind, role, grade, minutes, position, title) SELECT r.id, r.school_id, r.kind, r.role, r.grade, r.minutes, r.position, r.title FROM `resources` r;
--> statement-breakpoint
INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts;
--> statement-breakpoint
CREATE TRIGGER `piece_added` AFTER INSERT ON `resources` BEGIN
	INSERT INTO piece_facts (resource_id, school_id, kind, role, grade, minutes, position, title) VALUES (new.id, new.school_id, new.kind, new.role, new.grade, new.minutes, new.position, new.title);
	INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts WHERE id = new.id;
END;
--> statement-breakpoint
CREATE TRIGGER `piece_changed` AFTER UPDATE ON `resources` BEGIN
	DELETE FROM piece_words WHERE rowid = (SELECT doc FROM piece_facts WHERE resource_id = old.id);
	DELETE FROM piece_facts WHERE resource_id = old.id;
	INSERT INTO piece_facts (resource_id, school_id, kind, role, grade, minutes, position, title) VALUES (new.id, new.school_id, new.kind, new.role, new.grade, new.minutes, new.position, new.title);
	INSERT INTO piece_words (rowid, title, code, standards, words) SELECT doc, title, code, standards, words FROM piece_texts WHERE id = new.id;
END;
--> statement-breakpoint
CREATE TRIGGER `piece_removed` AFTER DELETE ON `resources` BEGIN
	DELETE FROM piece_words WHERE rowid = (SELECT doc FROM piece_facts WHERE resource_id = old.id);
	DELETE FROM piece_facts WHERE resource_id = old.id;
END;
