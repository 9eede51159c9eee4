CREATE TABLE `hand_study` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`instrument` text NOT NULL,
	`takes` text NOT NULL,
	`known` real,
	`known_doubt` real,
	`note` text DEFAULT '' NOT NULL,
	`sets_aside` text,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `hand_study_id` ON `hand_study` (`id`);--> statement-breakpoint
CREATE INDEX `hand_study_by` ON `hand_study` (`by`,`instrument`,`seq`);--> statement-breakpoint
ALTER TABLE `sign_off` ADD `plan` text;--> statement-breakpoint
ALTER TABLE `sign_off` ADD `rules` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE TRIGGER `hand_study_never_changes` BEFORE UPDATE ON `hand_study` BEGIN SELECT RAISE(ABORT, 'a study is never changed: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `hand_study_never_goes` BEFORE DELETE ON `hand_study` BEGIN SELECT RAISE(ABORT, 'a study is never deleted: set it aside'); END;
