CREATE TRIGGER `sign_off_never_goes` BEFORE DELETE ON `sign_off` BEGIN SELECT RAISE(ABORT, 'a sign-off is never deleted'); END;
--> statement-breakpoint
CREATE TRIGGER `limit_change_never_changes` BEFORE UPDATE ON `limit_change` BEGIN SELECT RAISE(ABORT, 'a change of a limit is never changed: make another'); END;
--> statement-breakpoint
CREATE TRIGGER `limit_change_never_goes` BEFORE DELETE ON `limit_change` BEGIN SELECT RAISE(ABORT, 'a change of a limit is never deleted: make another'); END;
