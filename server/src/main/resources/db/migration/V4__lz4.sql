-- Documents are written whole at every edit: the faster of the two compressions.
alter table revision alter column document set compression lz4;
