CREATE TRIGGER `reading_never_changes` BEFORE UPDATE ON `reading` BEGIN SELECT RAISE(ABORT, 'a reading is never changed: supersede it'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_never_goes` BEFORE DELETE ON `reading` BEGIN SELECT RAISE(ABORT, 'a reading is never deleted: supersede it'); END;
--> statement-breakpoint
CREATE TRIGGER `sign_off_never_changes` BEFORE UPDATE ON `sign_off` BEGIN SELECT RAISE(ABORT, 'a sign-off is never changed'); END;
--> statement-breakpoint
CREATE VIRTUAL TABLE `search` USING fts5(`kind` UNINDEXED, `ref` UNINDEXED, `title`, `body`, tokenize = "unicode61 remove_diacritics 2", prefix = '2 3');
--> statement-breakpoint
CREATE TRIGGER `search_customer_new` AFTER INSERT ON `customer` BEGIN INSERT INTO `search` VALUES ('customer', new.`id`, new.`name`, new.`contact`); END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_changed` AFTER UPDATE ON `customer` BEGIN UPDATE `search` SET `title` = new.`name`, `body` = new.`contact` WHERE `kind` = 'customer' AND `ref` = new.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_saw_new` AFTER INSERT ON `saw` BEGIN INSERT INTO `search` VALUES ('saw', new.`id`, new.`label`, new.`tag`); END;
--> statement-breakpoint
CREATE TRIGGER `search_saw_changed` AFTER UPDATE ON `saw` BEGIN UPDATE `search` SET `title` = new.`label`, `body` = new.`tag` WHERE `kind` = 'saw' AND `ref` = new.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_job_new` AFTER INSERT ON `job` BEGIN INSERT INTO `search` SELECT 'job', new.`id`, new.`tag`, `name` FROM `customer` WHERE `id` = new.`customer_id`; END;
--> statement-breakpoint
CREATE TRIGGER `search_stock_new` AFTER INSERT ON `stock_part` BEGIN INSERT INTO `search` VALUES ('part', new.`sku`, new.`name`, new.`sku`); END;
--> statement-breakpoint
CREATE TRIGGER `search_stock_changed` AFTER UPDATE ON `stock_part` WHEN old.`name` <> new.`name` BEGIN UPDATE `search` SET `title` = new.`name` WHERE `kind` = 'part' AND `ref` = new.`sku`; END;
