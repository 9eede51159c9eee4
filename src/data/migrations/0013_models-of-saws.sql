CREATE TABLE `saw_model` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`name` text NOT NULL,
	`bar` text NOT NULL,
	`mount` text,
	`pitch` text NOT NULL,
	`gauge` text NOT NULL,
	`links` text NOT NULL,
	`sprocket_kind` text,
	`teeth` integer,
	`splines` integer,
	`retired_at` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `saw_model_key` ON `saw_model` (`key`);--> statement-breakpoint
CREATE INDEX `gear_change_model` ON `gear_change` (`seq`) WHERE what IN ('model-entered', 'model-mended', 'models-listed');