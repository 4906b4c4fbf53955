CREATE TABLE `cloths` (
	`id` text PRIMARY KEY NOT NULL,
	`place` integer NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `grades` (
	`id` text PRIMARY KEY NOT NULL,
	`place` integer NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `job_revisions` (
	`job_id` text NOT NULL,
	`revision` integer NOT NULL,
	`saved_at` text NOT NULL,
	`reason` text NOT NULL,
	`document` text NOT NULL,
	PRIMARY KEY(`job_id`, `revision`),
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`ticket` text NOT NULL,
	`title` text NOT NULL,
	`customer` text NOT NULL,
	`revision` integer NOT NULL,
	`saved_at` text NOT NULL,
	`document` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shop` (
	`id` integer PRIMARY KEY NOT NULL,
	`document` text NOT NULL
);
