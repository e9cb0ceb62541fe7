CREATE TABLE `piece_facts_stamp` (
	`id` integer PRIMARY KEY CHECK (`id` = 1),
	`stamp` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO `piece_facts_stamp` (`id`, `stamp`) VALUES (1, 1);
--> statement-breakpoint
CREATE TRIGGER `piece_fact_added` AFTER INSERT ON `piece_facts` BEGIN
	UPDATE piece_facts_stamp SET stamp = stamp + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `piece_fact_removed` AFTER DELETE ON `piece_facts` BEGIN
	UPDATE piece_facts_stamp SET stamp = stamp + 1;
END;
