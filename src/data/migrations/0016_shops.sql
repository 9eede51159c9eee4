CREATE TABLE `shop` (
	`id` text PRIMARY KEY NOT NULL,
	`shares_gear` integer NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
INSERT INTO `shop` VALUES ('', 1, strftime('%Y-%m-%dT%H:%M:%fZ', 'now'), '');
--> statement-breakpoint
CREATE TRIGGER `shop_new_is_told` AFTER INSERT ON `shop` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_changed_is_told` AFTER UPDATE ON `shop` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
DROP INDEX `job_tag`;
--> statement-breakpoint
ALTER TABLE `job` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
CREATE UNIQUE INDEX `job_tag` ON `job` (`shop_id`,`tag`);
--> statement-breakpoint
CREATE TABLE `__new_stock_part` (
	`shop_id` text DEFAULT '' NOT NULL,
	`sku` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`pitch` text,
	`gauge` text,
	`drive_links` integer,
	`kickback_class` text,
	`sequence` text,
	`mount` text,
	`oil_hole` text,
	`listed_inches` real,
	`teeth` integer,
	`sprocket_kind` text,
	`splines` integer,
	`bore` real,
	`saw` text,
	`quantity` integer NOT NULL,
	`minimum` integer NOT NULL,
	`price_cents` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	PRIMARY KEY(`sku`, `shop_id`)
);
--> statement-breakpoint
INSERT INTO `__new_stock_part`("shop_id", "sku", "kind", "name", "pitch", "gauge", "drive_links", "kickback_class", "sequence", "mount", "oil_hole", "listed_inches", "teeth", "sprocket_kind", "splines", "bore", "saw", "quantity", "minimum", "price_cents", "version") SELECT '', "sku", "kind", "name", "pitch", "gauge", "drive_links", "kickback_class", "sequence", "mount", "oil_hole", "listed_inches", "teeth", "sprocket_kind", "splines", "bore", "saw", "quantity", "minimum", "price_cents", "version" FROM `stock_part`;
--> statement-breakpoint
DROP TABLE `stock_part`;
--> statement-breakpoint
ALTER TABLE `__new_stock_part` RENAME TO `stock_part`;
--> statement-breakpoint
CREATE INDEX `stock_numbers` ON `stock_part` (`shop_id`,`kind`,`pitch`,`gauge`,`drive_links`,`sku`);
--> statement-breakpoint
CREATE INDEX `stock_links` ON `stock_part` (`shop_id`,`kind`,`drive_links`,`gauge`);
--> statement-breakpoint
CREATE TABLE `__new_learned_code` (
	`shop_id` text DEFAULT '' NOT NULL,
	`key` text NOT NULL,
	`code` text NOT NULL,
	`pitch` text,
	`gauge` text,
	`drive_links` integer,
	`kickback_class` text,
	`replaced_by` text DEFAULT '' NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	PRIMARY KEY(`shop_id`, `key`)
);
--> statement-breakpoint
INSERT INTO `__new_learned_code`("shop_id", "key", "code", "pitch", "gauge", "drive_links", "kickback_class", "replaced_by", "note", "at", "by") SELECT '', "key", "code", "pitch", "gauge", "drive_links", "kickback_class", "replaced_by", "note", "at", "by" FROM `learned_code`;
--> statement-breakpoint
DROP TABLE `learned_code`;
--> statement-breakpoint
ALTER TABLE `__new_learned_code` RENAME TO `learned_code`;
--> statement-breakpoint
CREATE TABLE `__new_shop_fact` (
	`shop_id` text DEFAULT '' NOT NULL,
	`key` text NOT NULL,
	`value` text NOT NULL,
	PRIMARY KEY(`shop_id`, `key`)
);
--> statement-breakpoint
INSERT INTO `__new_shop_fact`("shop_id", "key", "value") SELECT '', "key", "value" FROM `shop_fact`;
--> statement-breakpoint
DROP TABLE `shop_fact`;
--> statement-breakpoint
ALTER TABLE `__new_shop_fact` RENAME TO `shop_fact`;
--> statement-breakpoint
ALTER TABLE `access_token` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `customer` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `gear_change` ADD `shop_id` text;
--> statement-breakpoint
ALTER TABLE `hand_study` ADD `shop_id` text;
--> statement-breakpoint
ALTER TABLE `limit_change` ADD `shop_id` text;
--> statement-breakpoint
ALTER TABLE `people_event` ADD `shop_id` text;
--> statement-breakpoint
ALTER TABLE `person` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `saw` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `saw_model` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `shop_change` ADD `shop_id` text;
--> statement-breakpoint
ALTER TABLE `stock_import` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
ALTER TABLE `stock_movement` ADD `shop_id` text;
--> statement-breakpoint
CREATE TRIGGER `stock_part_new_is_told` AFTER INSERT ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_part_changed_is_told` AFTER UPDATE ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_part_gone_is_told` AFTER DELETE ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_new_is_told` AFTER INSERT ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_changed_is_told` AFTER UPDATE ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_gone_is_told` AFTER DELETE ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_new_is_told` AFTER INSERT ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_changed_is_told` AFTER UPDATE ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_gone_is_told` AFTER DELETE ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
ALTER TABLE `search_row` ADD `shop_id` text NOT NULL DEFAULT '';
--> statement-breakpoint
DROP TRIGGER `search_customer_new`;
--> statement-breakpoint
CREATE TRIGGER `search_customer_new` AFTER INSERT ON `customer` BEGIN INSERT INTO `search_row` (`kind`, `ref`, `shop_id`) VALUES ('customer', new.`id`, new.`shop_id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'customer', new.`id`, new.`name`, new.`contact` FROM `search_row` WHERE `kind` = 'customer' AND `ref` = new.`id`; END;
--> statement-breakpoint
DROP TRIGGER `search_saw_new`;
--> statement-breakpoint
CREATE TRIGGER `search_saw_new` AFTER INSERT ON `saw` BEGIN INSERT INTO `search_row` (`kind`, `ref`, `shop_id`) VALUES ('saw', new.`id`, new.`shop_id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'saw', new.`id`, iif(new.`merged_into` IS NULL, new.`label`, ''), iif(new.`merged_into` IS NULL, new.`tag`, '') FROM `search_row` WHERE `kind` = 'saw' AND `ref` = new.`id`; END;
--> statement-breakpoint
DROP TRIGGER `search_job_new`;
--> statement-breakpoint
CREATE TRIGGER `search_job_new` AFTER INSERT ON `job` BEGIN INSERT INTO `search_row` (`kind`, `ref`, `shop_id`) VALUES ('job', new.`id`, new.`shop_id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT (SELECT max(`id`) FROM `search_row` WHERE `kind` = 'job' AND `ref` = new.`id`), 'job', new.`id`, new.`tag`, `name` FROM `customer` WHERE `id` = new.`customer_id`; END;
--> statement-breakpoint
DROP TRIGGER `search_piece_tagged`;
--> statement-breakpoint
CREATE TRIGGER `search_piece_tagged` AFTER INSERT ON `gear_change` WHEN new.`what` = 'piece-tagged' BEGIN INSERT INTO `search_row` (`kind`, `ref`, `shop_id`) SELECT 'piece', new.`piece`, coalesce((SELECT `shop_id` FROM `saw` WHERE `id` = new.`saw_id`), new.`shop_id`, '') WHERE NOT EXISTS (SELECT 1 FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT `id`, 'piece', new.`piece`, '', '' FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece` AND NOT EXISTS (SELECT 1 FROM `search` WHERE `search`.`rowid` = `search_row`.`id`); UPDATE `search` SET `title` = coalesce((SELECT json_extract(`tagged`.`said`, '$.tag') FROM `gear_change` AS `tagged` WHERE `tagged`.`what` = 'piece-tagged' AND `tagged`.`piece` = new.`piece` AND NOT EXISTS (SELECT 1 FROM `gear_change` AS `undoing` WHERE `undoing`.`undoes` = `tagged`.`id`) ORDER BY `tagged`.`seq` DESC LIMIT 1), '') WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'piece' AND `ref` = new.`piece`); END;
--> statement-breakpoint
CREATE TRIGGER `search_stock_new` AFTER INSERT ON `stock_part` BEGIN INSERT INTO `search_row` (`kind`, `ref`, `shop_id`) VALUES ('part', new.`sku`, new.`shop_id`); INSERT INTO `search` (`rowid`, `kind`, `ref`, `title`, `body`) SELECT max(`id`), 'part', new.`sku`, new.`name`, new.`sku` FROM `search_row` WHERE `kind` = 'part' AND `ref` = new.`sku` AND `shop_id` = new.`shop_id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_stock_changed` AFTER UPDATE ON `stock_part` WHEN old.`name` <> new.`name` BEGIN UPDATE `search` SET `title` = new.`name` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'part' AND `ref` = new.`sku` AND `shop_id` = new.`shop_id`); END;
--> statement-breakpoint
CREATE TRIGGER `search_stock_gone` AFTER DELETE ON `stock_part` BEGIN DELETE FROM `search` WHERE `rowid` IN (SELECT `id` FROM `search_row` WHERE `kind` = 'part' AND `ref` = old.`sku` AND `shop_id` = old.`shop_id`); DELETE FROM `search_row` WHERE `kind` = 'part' AND `ref` = old.`sku` AND `shop_id` = old.`shop_id`; END;
