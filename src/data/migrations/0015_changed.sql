CREATE TABLE `changed` (
	`topic` text NOT NULL,
	`subject` text NOT NULL,
	`seq` integer NOT NULL,
	PRIMARY KEY(`topic`, `subject`)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `changed_seq` ON `changed` (`seq`);
--> statement-breakpoint
CREATE TRIGGER `reading_new_is_told` AFTER INSERT ON `reading` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `job_new_is_told` AFTER INSERT ON `job` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `job_changed_is_told` AFTER UPDATE ON `job` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `sign_off_new_is_told` AFTER INSERT ON `sign_off` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `hand_over_new_is_told` AFTER INSERT ON `hand_over` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `photo_new_is_told` AFTER INSERT ON `photo` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `photo_gone_is_told` AFTER DELETE ON `photo` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', old.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `part_order_new_is_told` AFTER INSERT ON `part_order` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', new.`job_id`, (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `part_order_event_new_is_told` AFTER INSERT ON `part_order_event` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('job', (SELECT `job_id` FROM `part_order` WHERE `id` = new.`order_id`), (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_part_new_is_told` AFTER INSERT ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_part_changed_is_told` AFTER UPDATE ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_part_gone_is_told` AFTER DELETE ON `stock_part` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_import_new_is_told` AFTER INSERT ON `stock_import` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_import_changed_is_told` AFTER UPDATE ON `stock_import` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `stock_movement_new_is_told` AFTER INSERT ON `stock_movement` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('stock', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `gear_change_new_is_told` AFTER INSERT ON `gear_change` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('gear', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `saw_new_is_told` AFTER INSERT ON `saw` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('gear', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `saw_changed_is_told` AFTER UPDATE ON `saw` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('gear', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `customer_new_is_told` AFTER INSERT ON `customer` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('gear', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `customer_changed_is_told` AFTER UPDATE ON `customer` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('gear', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `limit_change_new_is_told` AFTER INSERT ON `limit_change` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_new_is_told` AFTER INSERT ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_changed_is_told` AFTER UPDATE ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `learned_code_gone_is_told` AFTER DELETE ON `learned_code` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `hand_study_new_is_told` AFTER INSERT ON `hand_study` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('rules', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_new_is_told` AFTER INSERT ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_changed_is_told` AFTER UPDATE ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `shop_fact_gone_is_told` AFTER DELETE ON `shop_fact` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `person_new_is_told` AFTER INSERT ON `person` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `person_changed_is_told` AFTER UPDATE ON `person` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('shop', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `credential_new_is_told` AFTER INSERT ON `credential` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('door', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `credential_changed_is_told` AFTER UPDATE ON `credential` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('door', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `credential_gone_is_told` AFTER DELETE ON `credential` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('door', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `session_ended_is_told` AFTER UPDATE OF `ended_at` ON `session` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('door', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
--> statement-breakpoint
CREATE TRIGGER `access_token_revoked_is_told` AFTER UPDATE OF `revoked_at` ON `access_token` BEGIN INSERT INTO `changed` (`topic`, `subject`, `seq`) VALUES ('door', '', (SELECT coalesce(max(`seq`), 0) + 1 FROM `changed`)) ON CONFLICT (`topic`, `subject`) DO UPDATE SET `seq` = excluded.`seq`; END;
