CREATE TABLE `group_classes` (
	`group_id` text NOT NULL,
	`class_id` text NOT NULL,
	PRIMARY KEY(`group_id`, `class_id`),
	FOREIGN KEY (`group_id`) REFERENCES `groups`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `group_classes_by_class` ON `group_classes` (`class_id`);