CREATE TABLE `practice_round` (
	`id` text PRIMARY KEY NOT NULL,
	`by` text NOT NULL,
	`kind` text NOT NULL,
	`sitting` text NOT NULL,
	`place` integer NOT NULL,
	`paper` text,
	`level` text NOT NULL,
	`theme` text NOT NULL,
	`seed` integer NOT NULL,
	`taken` text NOT NULL,
	`hints` text NOT NULL,
	`said` text,
	`score` text,
	`at` text NOT NULL,
	`answered_at` text,
	`shop_id` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `practice_round_by` ON `practice_round` (`by`,`at`);--> statement-breakpoint
CREATE INDEX `practice_round_sitting` ON `practice_round` (`sitting`,`place`);