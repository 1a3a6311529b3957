ALTER TABLE `jobs` ADD `tools` json;--> statement-breakpoint
ALTER TABLE `jobs` ADD `fittings` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `updated_at` datetime(3);--> statement-breakpoint
ALTER TABLE `jobs` ADD `updated_by` varchar(40) DEFAULT '' NOT NULL;