CREATE TABLE `customer` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`contact` text DEFAULT '' NOT NULL,
	`created_at` text NOT NULL,
	`created_by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `job` (
	`id` text PRIMARY KEY NOT NULL,
	`tag` text NOT NULL,
	`customer_id` text NOT NULL,
	`saw_id` text,
	`state` text DEFAULT 'open' NOT NULL,
	`promised_for` text,
	`summary` text,
	`summary_key` text DEFAULT '' NOT NULL,
	`created_at` text NOT NULL,
	`created_by` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`saw_id`) REFERENCES `saw`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `job_tag` ON `job` (`tag`);--> statement-breakpoint
CREATE INDEX `job_state` ON `job` (`state`,`promised_for`,`created_at`);--> statement-breakpoint
CREATE INDEX `job_customer` ON `job` (`customer_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `limit_change` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`limit_id` text NOT NULL,
	`value` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `limit_change_id` ON `limit_change` (`limit_id`,`seq`);--> statement-breakpoint
CREATE TABLE `person` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `reading` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`job_id` text NOT NULL,
	`path` text NOT NULL,
	`text` text NOT NULL,
	`unit` text NOT NULL,
	`instrument` text,
	`supersedes` text,
	`at` text NOT NULL,
	`by` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `reading_id` ON `reading` (`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `reading_supersedes` ON `reading` (`supersedes`);--> statement-breakpoint
CREATE UNIQUE INDEX `reading_first` ON `reading` (`job_id`,`path`) WHERE supersedes IS NULL;--> statement-breakpoint
CREATE INDEX `reading_job` ON `reading` (`job_id`,`seq`);--> statement-breakpoint
CREATE TABLE `saw` (
	`id` text PRIMARY KEY NOT NULL,
	`customer_id` text NOT NULL,
	`label` text NOT NULL,
	`tag` text DEFAULT '' NOT NULL,
	`mount` text,
	`max_rpm` integer,
	`created_at` text NOT NULL,
	`created_by` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `saw_customer` ON `saw` (`customer_id`);--> statement-breakpoint
CREATE TABLE `shop_fact` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sign_off` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`sheet` text NOT NULL,
	`limits` text NOT NULL,
	`assessment` text NOT NULL,
	`version` text NOT NULL,
	`up_to_reading` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `job`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sign_off_job` ON `sign_off` (`job_id`,`at`);--> statement-breakpoint
CREATE TABLE `stock_part` (
	`sku` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`pitch` text,
	`gauge` text,
	`drive_links` integer,
	`kickback_class` text,
	`mount` text,
	`teeth` integer,
	`quantity` integer NOT NULL,
	`minimum` integer NOT NULL,
	`price_cents` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `stock_numbers` ON `stock_part` (`kind`,`pitch`,`gauge`,`drive_links`);