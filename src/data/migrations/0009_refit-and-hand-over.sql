CREATE TABLE `hand_over` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`document` text NOT NULL,
	`next_visit` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `hand_over_job` ON `hand_over` (`job_id`);--> statement-breakpoint
CREATE INDEX `hand_over_due` ON `hand_over` (`next_visit`);--> statement-breakpoint
CREATE TABLE `part_order` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`sku` text NOT NULL,
	`part` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_order_job` ON `part_order` (`job_id`);--> statement-breakpoint
CREATE TABLE `part_order_event` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` text NOT NULL,
	`state` text NOT NULL,
	`due` text,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `part_order`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `part_order_event_order` ON `part_order_event` (`order_id`,`seq`);--> statement-breakpoint
CREATE TABLE `test_cut` (
	`job_id` text PRIMARY KEY NOT NULL,
	`predicted` real NOT NULL,
	`measured` real NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `job` ADD `waits` text;--> statement-breakpoint
CREATE INDEX `job_on_bench` ON `job` (`waits`,`promised_for`) WHERE waits IS NOT NULL;--> statement-breakpoint
ALTER TABLE `stock_movement` ADD `job_id` text;--> statement-breakpoint
CREATE INDEX `stock_movement_job` ON `stock_movement` (`job_id`) WHERE job_id IS NOT NULL;--> statement-breakpoint
UPDATE `job` SET `waits` = 'to-measure' WHERE `state` = 'open';
--> statement-breakpoint
CREATE TRIGGER `part_order_never_changes` BEFORE UPDATE ON `part_order` BEGIN SELECT RAISE(ABORT, 'an order is never changed: write what became of it'); END;
--> statement-breakpoint
CREATE TRIGGER `part_order_never_goes` BEFORE DELETE ON `part_order` BEGIN SELECT RAISE(ABORT, 'an order is never deleted: write what became of it'); END;
--> statement-breakpoint
CREATE TRIGGER `part_order_event_never_changes` BEFORE UPDATE ON `part_order_event` BEGIN SELECT RAISE(ABORT, 'what became of an order is never changed: write what followed'); END;
--> statement-breakpoint
CREATE TRIGGER `part_order_event_never_goes` BEFORE DELETE ON `part_order_event` BEGIN SELECT RAISE(ABORT, 'what became of an order is never deleted: write what followed'); END;
--> statement-breakpoint
CREATE TRIGGER `hand_over_never_changes` BEFORE UPDATE ON `hand_over` BEGIN SELECT RAISE(ABORT, 'a hand-over is never changed: hand over again'); END;
--> statement-breakpoint
CREATE TRIGGER `hand_over_never_goes` BEFORE DELETE ON `hand_over` BEGIN SELECT RAISE(ABORT, 'a hand-over is never deleted'); END;
