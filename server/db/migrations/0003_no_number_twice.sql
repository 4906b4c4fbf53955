CREATE TABLE `pulse` (
	`id` integer PRIMARY KEY NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `revision_floors` (
	`job_id` text PRIMARY KEY NOT NULL,
	`revision` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `set_aside` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`stood_in` text NOT NULL,
	`name` text NOT NULL,
	`why` text NOT NULL,
	`bytes` blob NOT NULL
);
--> statement-breakpoint
ALTER TABLE `job_revisions` ADD `packed` blob;--> statement-breakpoint
ALTER TABLE `job_revisions` ADD `packed_on` integer;--> statement-breakpoint
ALTER TABLE `jobs` ADD `coming_with` text;