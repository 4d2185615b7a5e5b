-- A page's document is written whole at every edit and never asked into: as text it is not taken
-- apart and put together again each time.
alter table revision alter column document type text using document::text;
alter table revision alter column document set compression lz4;
alter table site_revision alter column document type text using document::text;
alter table site_revision alter column document set compression lz4;
