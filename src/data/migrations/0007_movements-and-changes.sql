CREATE TABLE `shop_change` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`what` text NOT NULL,
	`value` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stock_movement` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`sku` text NOT NULL,
	`kind` text NOT NULL,
	`change` integer NOT NULL,
	`left` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `stock_movement_id` ON `stock_movement` (`id`);--> statement-breakpoint
CREATE INDEX `stock_movement_sku` ON `stock_movement` (`sku`,`seq`);--> statement-breakpoint
DROP INDEX `job_state`;--> statement-breakpoint
DROP INDEX `job_customer`;--> statement-breakpoint
DROP INDEX `job_saw`;--> statement-breakpoint
CREATE INDEX `job_promised` ON `job` (`state`,`promised_for`);--> statement-breakpoint
CREATE INDEX `job_in_state` ON `job` (`state`);--> statement-breakpoint
CREATE INDEX `job_of_customer` ON `job` (`customer_id`);--> statement-breakpoint
CREATE INDEX `job_of_saw` ON `job` (`saw_id`);--> statement-breakpoint
ALTER TABLE `stock_import_row` ADD `undone` text;--> statement-breakpoint
CREATE INDEX `stock_import_row_left` ON `stock_import_row` (`import_id`,`sku`) WHERE undone IS NULL;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX `reading_place` ON `reading` (`job_id`,`path`);
--> statement-breakpoint
CREATE TRIGGER `stock_movement_never_changes` BEFORE UPDATE ON `stock_movement` BEGIN SELECT RAISE(ABORT, 'a movement is never changed: write another'); END;
--> statement-breakpoint
CREATE TRIGGER `stock_movement_never_goes` BEFORE DELETE ON `stock_movement` BEGIN SELECT RAISE(ABORT, 'a movement is never deleted: write another'); END;
--> statement-breakpoint
CREATE TRIGGER `shop_change_never_changes` BEFORE UPDATE ON `shop_change` BEGIN SELECT RAISE(ABORT, 'a change of the shop is never changed: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `shop_change_never_goes` BEFORE DELETE ON `shop_change` BEGIN SELECT RAISE(ABORT, 'a change of the shop is never deleted: make another'); END;
--> statement-breakpoint
CREATE TABLE `search_row` (`id` integer PRIMARY KEY NOT NULL, `kind` text NOT NULL, `ref` text NOT NULL);
--> statement-breakpoint
INSERT INTO `search_row` SELECT `rowid`, `kind`, `ref` FROM `search`;
--> statement-breakpoint
CREATE INDEX `search_row_ref` ON `search_row` (`kind`, `ref`);
--> statement-breakpoint
DROP TRIGGER `search_customer_new`;
--> statement-breakpoint
CREATE TRIGGER `search_customer_new` AFTER INSERT ON `customer` BEGIN INSERT INTO `search_row` (`kind`, `ref`) VALUES ('customer', new.`id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'customer', new.`id`, new.`name`, new.`contact` FROM `search_row` WHERE `kind` = 'customer' AND `ref` = new.`id`; END;
--> statement-breakpoint
DROP TRIGGER `search_customer_changed`;
--> statement-breakpoint
CREATE TRIGGER `search_customer_changed` AFTER UPDATE ON `customer` BEGIN UPDATE `search` SET `title` = new.`name`, `body` = new.`contact` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'customer' AND `ref` = new.`id`); END;
--> statement-breakpoint
DROP TRIGGER `search_saw_new`;
--> statement-breakpoint
CREATE TRIGGER `search_saw_new` AFTER INSERT ON `saw` BEGIN INSERT INTO `search_row` (`kind`, `ref`) VALUES ('saw', new.`id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'saw', new.`id`, new.`label`, new.`tag` FROM `search_row` WHERE `kind` = 'saw' AND `ref` = new.`id`; END;
--> statement-breakpoint
DROP TRIGGER `search_saw_changed`;
--> statement-breakpoint
CREATE TRIGGER `search_saw_changed` AFTER UPDATE ON `saw` BEGIN UPDATE `search` SET `title` = new.`label`, `body` = new.`tag` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'saw' AND `ref` = new.`id`); END;
--> statement-breakpoint
DROP TRIGGER `search_job_new`;
--> statement-breakpoint
CREATE TRIGGER `search_job_new` AFTER INSERT ON `job` BEGIN INSERT INTO `search_row` (`kind`, `ref`) VALUES ('job', new.`id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT (SELECT max(`id`) FROM `search_row` WHERE `kind` = 'job' AND `ref` = new.`id`), 'job', new.`id`, new.`tag`, `name` FROM `customer` WHERE `id` = new.`customer_id`; END;
--> statement-breakpoint
DROP TRIGGER `search_stock_new`;
--> statement-breakpoint
CREATE TRIGGER `search_stock_new` AFTER INSERT ON `stock_part` BEGIN INSERT INTO `search_row` (`kind`, `ref`) VALUES ('part', new.`sku`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'part', new.`sku`, new.`name`, new.`sku` FROM `search_row` WHERE `kind` = 'part' AND `ref` = new.`sku`; END;
--> statement-breakpoint
DROP TRIGGER `search_stock_changed`;
--> statement-breakpoint
CREATE TRIGGER `search_stock_changed` AFTER UPDATE ON `stock_part` WHEN old.`name` <> new.`name` BEGIN UPDATE `search` SET `title` = new.`name` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'part' AND `ref` = new.`sku`); END;
--> statement-breakpoint
DROP TRIGGER `search_stock_gone`;
--> statement-breakpoint
CREATE TRIGGER `search_stock_gone` AFTER DELETE ON `stock_part` BEGIN DELETE FROM `search` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'part' AND `ref` = old.`sku`); DELETE FROM `search_row` WHERE `kind` = 'part' AND `ref` = old.`sku`; END;
