CREATE TABLE `gear_change` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`what` text NOT NULL,
	`customer_id` text,
	`saw_id` text,
	`other_saw_id` text,
	`piece` text,
	`said` text,
	`before` text,
	`undoes` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `gear_change_id` ON `gear_change` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `gear_change_undoes` ON `gear_change` (`undoes`);--> statement-breakpoint
CREATE INDEX `gear_change_customer` ON `gear_change` (`customer_id`,`seq`);--> statement-breakpoint
CREATE INDEX `gear_change_saw` ON `gear_change` (`saw_id`,`seq`);--> statement-breakpoint
CREATE INDEX `gear_change_other_saw` ON `gear_change` (`other_saw_id`,`seq`);--> statement-breakpoint
CREATE INDEX `gear_change_piece` ON `gear_change` (`piece`,`seq`);--> statement-breakpoint
ALTER TABLE `customer` ADD `retired_at` text;--> statement-breakpoint
ALTER TABLE `saw` ADD `retired_at` text;--> statement-breakpoint
ALTER TABLE `saw` ADD `merged_into` text;
--> statement-breakpoint
CREATE TRIGGER `gear_change_never_changes` BEFORE UPDATE ON `gear_change` BEGIN SELECT RAISE(ABORT, 'what was said of gear is never changed: undo it'); END;
--> statement-breakpoint
CREATE TRIGGER `gear_change_never_goes` BEFORE DELETE ON `gear_change` BEGIN SELECT RAISE(ABORT, 'what was said of gear is never deleted: undo it'); END;
--> statement-breakpoint
CREATE TRIGGER `gear_change_never_replaced` BEFORE INSERT ON `gear_change` WHEN EXISTS (SELECT 1 FROM `gear_change` WHERE `seq` = new.`seq`) OR EXISTS (SELECT 1 FROM `gear_change` WHERE `id` = new.`id`) OR EXISTS (SELECT 1 FROM `gear_change` WHERE `undoes` = new.`undoes`) BEGIN SELECT RAISE(ABORT, 'what was said of gear is never replaced: undo it'); END;
--> statement-breakpoint
DROP TRIGGER `search_saw_changed`;
--> statement-breakpoint
CREATE TRIGGER `search_saw_changed` AFTER UPDATE ON `saw` BEGIN UPDATE `search` SET `title` = iif(new.`merged_into` IS NULL, new.`label`, ''), `body` = iif(new.`merged_into` IS NULL, new.`tag`, '') WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'saw' AND `ref` = new.`id`); END;
--> statement-breakpoint
DROP TRIGGER `search_saw_new`;
--> statement-breakpoint
CREATE TRIGGER `search_saw_new` AFTER INSERT ON `saw` BEGIN INSERT INTO `search_row` (`kind`, `ref`) VALUES ('saw', new.`id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'saw', new.`id`, iif(new.`merged_into` IS NULL, new.`label`, ''), iif(new.`merged_into` IS NULL, new.`tag`, '') FROM `search_row` WHERE `kind` = 'saw' AND `ref` = new.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_piece_tagged` AFTER INSERT ON `gear_change` WHEN new.`what` = 'piece-tagged' BEGIN INSERT INTO `search_row` (`kind`, `ref`) SELECT 'piece', new.`piece` WHERE NOT EXISTS (SELECT 1 FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT `id`, 'piece', new.`piece`, '', '' FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece` AND NOT EXISTS (SELECT 1 FROM `search` WHERE `search`.`rowid` = `search_row`.`id`); UPDATE `search` SET `title` = coalesce((SELECT json_extract(`tagged`.`said`, '$.tag') FROM `gear_change` AS `tagged` WHERE `tagged`.`what` = 'piece-tagged' AND `tagged`.`piece` = new.`piece` AND NOT EXISTS (SELECT 1 FROM `gear_change` AS `undoing` WHERE `undoing`.`undoes` = `tagged`.`id`) ORDER BY `tagged`.`seq` DESC LIMIT 1), '') WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece`); END;
--> statement-breakpoint
CREATE TRIGGER `search_piece_untagged` AFTER INSERT ON `gear_change` WHEN new.`what` = 'undone' AND new.`piece` IS NOT NULL BEGIN UPDATE `search` SET `title` = coalesce((SELECT json_extract(`tagged`.`said`, '$.tag') FROM `gear_change` AS `tagged` WHERE `tagged`.`what` = 'piece-tagged' AND `tagged`.`piece` = new.`piece` AND NOT EXISTS (SELECT 1 FROM `gear_change` AS `undoing` WHERE `undoing`.`undoes` = `tagged`.`id`) ORDER BY `tagged`.`seq` DESC LIMIT 1), '') WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece`); END;
--> statement-breakpoint
CREATE INDEX `gear_change_list` ON `gear_change` (`seq`) WHERE `what` = 'saws-listed';
--> statement-breakpoint
CREATE TRIGGER `search_saw_gone` AFTER DELETE ON `saw` BEGIN DELETE FROM `search` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'saw' AND `ref` = old.`id`); DELETE FROM `search_row` WHERE `kind` = 'saw' AND `ref` = old.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_gone` AFTER DELETE ON `customer` BEGIN DELETE FROM `search` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'customer' AND `ref` = old.`id`); DELETE FROM `search_row` WHERE `kind` = 'customer' AND `ref` = old.`id`; END;
--> statement-breakpoint
CREATE INDEX `saw_merged` ON `saw` (`merged_into`) WHERE `merged_into` IS NOT NULL;
