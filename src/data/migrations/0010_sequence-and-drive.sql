ALTER TABLE `learned_code` ADD `drive_links` integer;--> statement-breakpoint
ALTER TABLE `learned_code` ADD `kickback_class` text;--> statement-breakpoint
ALTER TABLE `learned_code` ADD `replaced_by` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `sequence` text;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `sprocket_kind` text;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `splines` integer;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `bore` real;--> statement-breakpoint
ALTER TABLE `stock_part` ADD `saw` text;