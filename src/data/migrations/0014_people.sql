CREATE TABLE `access_token` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`customer_id` text,
	`hash` text NOT NULL,
	`ends_at` text NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	`revoked_at` text,
	`revoked_by` text,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `access_token_hash` ON `access_token` (`hash`);--> statement-breakpoint
CREATE TABLE `credential` (
	`person_id` text NOT NULL,
	`kind` text NOT NULL,
	`hash` text NOT NULL,
	`wrong` integer DEFAULT 0 NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL,
	PRIMARY KEY(`person_id`, `kind`),
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `people_event` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`what` text NOT NULL,
	`about` text NOT NULL,
	`detail` text DEFAULT '' NOT NULL,
	`at` text NOT NULL,
	`by` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`person_id` text NOT NULL,
	`how` text NOT NULL,
	`device` text NOT NULL,
	`started_at` text NOT NULL,
	`seen_at` text NOT NULL,
	`ends_at` text NOT NULL,
	`ended_at` text,
	`why` text,
	FOREIGN KEY (`person_id`) REFERENCES `person`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `session_hash` ON `session` (`hash`);--> statement-breakpoint
CREATE INDEX `session_of_person` ON `session` (`person_id`);--> statement-breakpoint
CREATE INDEX `session_going_on` ON `session` (`seen_at`) WHERE ended_at IS NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `role` text DEFAULT 'technician' NOT NULL;--> statement-breakpoint
ALTER TABLE `person` ADD `customer_id` text REFERENCES customer(id);--> statement-breakpoint
ALTER TABLE `person` ADD `left_at` text;
--> statement-breakpoint
CREATE TRIGGER `people_event_never_changes` BEFORE UPDATE ON `people_event` BEGIN SELECT RAISE(ABORT, 'what happened with people is never changed'); END;
--> statement-breakpoint
CREATE TRIGGER `people_event_never_goes` BEFORE DELETE ON `people_event` BEGIN SELECT RAISE(ABORT, 'what happened with people is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER `people_event_never_replaced` BEFORE INSERT ON `people_event` WHEN EXISTS (SELECT 1 FROM `people_event` WHERE `seq` = new.`seq`) BEGIN SELECT RAISE(ABORT, 'what happened with people is never replaced'); END;
--> statement-breakpoint
CREATE TRIGGER `session_never_goes` BEFORE DELETE ON `session` BEGIN SELECT RAISE(ABORT, 'a session is never deleted: end it'); END;
--> statement-breakpoint
CREATE TRIGGER `session_never_replaced` BEFORE INSERT ON `session` WHEN EXISTS (SELECT 1 FROM `session` WHERE `id` = new.`id` OR `hash` = new.`hash`) BEGIN SELECT RAISE(ABORT, 'a session is never replaced: begin another'); END;
--> statement-breakpoint
CREATE TRIGGER `session_stays_ended` BEFORE UPDATE ON `session` WHEN old.`ended_at` IS NOT NULL OR new.`person_id` <> old.`person_id` OR new.`hash` <> old.`hash` OR new.`ends_at` > old.`ends_at` BEGIN SELECT RAISE(ABORT, 'a session that has ended stays so, and stays whose it was'); END;
--> statement-breakpoint
CREATE TRIGGER `access_token_never_goes` BEFORE DELETE ON `access_token` BEGIN SELECT RAISE(ABORT, 'a token is never deleted: revoke it'); END;
--> statement-breakpoint
CREATE TRIGGER `access_token_never_replaced` BEFORE INSERT ON `access_token` WHEN EXISTS (SELECT 1 FROM `access_token` WHERE `id` = new.`id` OR `hash` = new.`hash`) BEGIN SELECT RAISE(ABORT, 'a token is never replaced: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `access_token_stays_revoked` BEFORE UPDATE ON `access_token` WHEN old.`revoked_at` IS NOT NULL OR new.`hash` <> old.`hash` OR new.`role` <> old.`role` OR new.`ends_at` > old.`ends_at` OR new.`customer_id` IS NOT old.`customer_id` BEGIN SELECT RAISE(ABORT, 'a token that was revoked stays so, and stays what it was'); END;
