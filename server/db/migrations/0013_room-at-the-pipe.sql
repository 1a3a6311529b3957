ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `flex` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `on_first` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `joints` ADD COLUMN IF NOT EXISTS `slip` json DEFAULT ('{}') NOT NULL;