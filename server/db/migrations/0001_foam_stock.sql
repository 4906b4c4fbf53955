CREATE TABLE `foam_stock` (
	`id` text PRIMARY KEY NOT NULL,
	`place` integer NOT NULL,
	`document` text NOT NULL
);
