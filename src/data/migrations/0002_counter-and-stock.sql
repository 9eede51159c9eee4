CREATE TABLE `learned_code` (
	`key` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`pitch` text,
	`gauge` text,
	`note` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `photo` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`type` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`bytes` blob NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`taken_away_at` text,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_job` ON `photo` (`job_id`,`at`);--> statement-breakpoint
CREATE TABLE `saw_memory` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`saw_id` text NOT NULL,
	`entries` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`saw_id`) REFERENCES `saw`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `saw_memory_saw` ON `saw_memory` (`saw_id`,`seq`);--> statement-breakpoint
CREATE TABLE `stock_import` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`undone_at` text,
	`undone_by` text
);
--> statement-breakpoint
CREATE TABLE `stock_import_row` (
	`import_id` text NOT NULL,
	`sku` text NOT NULL,
	`before` text,
	`after` text NOT NULL,
	PRIMARY KEY(`import_id`, `sku`),
	FOREIGN KEY (`import_id`) REFERENCES `stock_import`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `stock_part` ADD `oil_hole` text;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `listed_inches` real;