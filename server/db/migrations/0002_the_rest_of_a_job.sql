CREATE TABLE `access` (
	`id` integer PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`job_id` text NOT NULL,
	`taken_at` text NOT NULL,
	`type` text NOT NULL,
	`bytes` blob NOT NULL
);
--> statement-breakpoint
CREATE TABLE `stock_moves` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`job_id` text,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `trims` (
	`id` text PRIMARY KEY NOT NULL,
	`place` integer NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `jobs` ADD `card` text;