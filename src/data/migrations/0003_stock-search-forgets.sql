CREATE TRIGGER `search_stock_gone` AFTER DELETE ON `stock_part` BEGIN DELETE FROM `search` WHERE `kind` = 'part' AND `ref` = old.`sku`; END;
