ALTER TABLE `joints` ADD `ambient` double;--> statement-breakpoint
ALTER TABLE `joints` ADD `torch` varchar(12);--> statement-breakpoint
ALTER TABLE `joints` ADD `reopenings` json DEFAULT ('[]') NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `fix` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `clips` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `lines` ADD `pulled` json DEFAULT ('{}') NOT NULL;--> statement-breakpoint
ALTER TABLE `ticks` ADD `by_hand` varchar(40) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `ticks` ADD `reading` double;