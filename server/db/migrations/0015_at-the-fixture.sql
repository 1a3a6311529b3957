ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `fixture` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `look_id` varchar(40);