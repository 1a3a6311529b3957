ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `minutes` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD COLUMN IF NOT EXISTS `prices` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `signoffs` ADD COLUMN IF NOT EXISTS `minutes` json DEFAULT ('[]') NOT NULL;