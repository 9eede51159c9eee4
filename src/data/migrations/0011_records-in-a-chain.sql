CREATE TABLE `chain_link` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`record` text NOT NULL,
	`key` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `chain_link_record` ON `chain_link` (`record`,`key`);--> statement-breakpoint
CREATE TABLE `stock_import_batch` (
	`import_id` text NOT NULL,
	`batch` text NOT NULL,
	`answer` text NOT NULL,
	PRIMARY KEY(`import_id`, `batch`),
	FOREIGN KEY (`import_id`) REFERENCES `stock_import`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `hand_over` ADD `papers` text;--> statement-breakpoint
ALTER TABLE `stock_import_row` ADD `moved_up_to` integer;
--> statement-breakpoint
CREATE TRIGGER `chain_link_never_changes` BEFORE UPDATE ON `chain_link` BEGIN SELECT RAISE(ABORT, 'a link of the chain is never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `chain_link_never_goes` BEFORE DELETE ON `chain_link` BEGIN SELECT RAISE(ABORT, 'a link of the chain is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER `chain_link_never_replaced` BEFORE INSERT ON `chain_link` WHEN EXISTS (SELECT 1 FROM `chain_link` WHERE `seq` = new.`seq` OR (`record` = new.`record` AND `key` = new.`key`)) BEGIN SELECT RAISE(ABORT, 'a link of the chain is never replaced'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_never_replaced` BEFORE INSERT ON `reading` WHEN EXISTS (SELECT 1 FROM `reading` WHERE `seq` = new.`seq`) OR EXISTS (SELECT 1 FROM `reading` WHERE `id` = new.`id`) OR EXISTS (SELECT 1 FROM `reading` WHERE `supersedes` = new.`supersedes`) OR (new.`supersedes` IS NULL AND EXISTS (SELECT 1 FROM `reading` WHERE `job_id` = new.`job_id` AND `path` = new.`path` AND `supersedes` IS NULL)) BEGIN SELECT RAISE(ABORT, 'a reading is never replaced: supersede it'); END;
--> statement-breakpoint
CREATE TRIGGER `sign_off_never_replaced` BEFORE INSERT ON `sign_off` WHEN EXISTS (SELECT 1 FROM `sign_off` WHERE `id` = new.`id`) BEGIN SELECT RAISE(ABORT, 'a sign-off is never replaced'); END;
--> statement-breakpoint
CREATE TRIGGER `limit_change_never_replaced` BEFORE INSERT ON `limit_change` WHEN EXISTS (SELECT 1 FROM `limit_change` WHERE `seq` = new.`seq`) BEGIN SELECT RAISE(ABORT, 'a change of a limit is never replaced: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `shop_change_never_replaced` BEFORE INSERT ON `shop_change` WHEN EXISTS (SELECT 1 FROM `shop_change` WHERE `seq` = new.`seq`) BEGIN SELECT RAISE(ABORT, 'a change of the shop is never replaced: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `stock_movement_never_replaced` BEFORE INSERT ON `stock_movement` WHEN EXISTS (SELECT 1 FROM `stock_movement` WHERE `seq` = new.`seq`) OR EXISTS (SELECT 1 FROM `stock_movement` WHERE `id` = new.`id`) BEGIN SELECT RAISE(ABORT, 'a movement is never replaced: write another'); END;
--> statement-breakpoint
CREATE TRIGGER `hand_study_never_replaced` BEFORE INSERT ON `hand_study` WHEN EXISTS (SELECT 1 FROM `hand_study` WHERE `seq` = new.`seq`) OR EXISTS (SELECT 1 FROM `hand_study` WHERE `id` = new.`id`) BEGIN SELECT RAISE(ABORT, 'a study is never replaced: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `part_order_never_replaced` BEFORE INSERT ON `part_order` WHEN EXISTS (SELECT 1 FROM `part_order` WHERE `id` = new.`id`) BEGIN SELECT RAISE(ABORT, 'an order is never replaced: write what became of it'); END;
--> statement-breakpoint
CREATE TRIGGER `part_order_event_never_replaced` BEFORE INSERT ON `part_order_event` WHEN EXISTS (SELECT 1 FROM `part_order_event` WHERE `seq` = new.`seq`) BEGIN SELECT RAISE(ABORT, 'what became of an order is never replaced: write what followed'); END;
--> statement-breakpoint
CREATE TRIGGER `hand_over_never_replaced` BEFORE INSERT ON `hand_over` WHEN EXISTS (SELECT 1 FROM `hand_over` WHERE `id` = new.`id`) BEGIN SELECT RAISE(ABORT, 'a hand-over is never replaced: hand over again'); END;
