DROP INDEX `stock_numbers`;--> statement-breakpoint
CREATE INDEX `stock_links` ON `stock_part` (`kind`,`drive_links`,`gauge`);--> statement-breakpoint
CREATE INDEX `stock_numbers` ON `stock_part` (`kind`,`pitch`,`gauge`,`drive_links`,`sku`);