ALTER TABLE `kept_files` ADD `attached_at` integer;--> statement-breakpoint
UPDATE `kept_files` SET `attached_at` = `made_at` WHERE `id` NOT IN (SELECT `file_id` FROM `handed_files`);
