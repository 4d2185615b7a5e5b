-- What a font says of itself, so that a family is put together without reading files.
alter table media
  add column family text not null default '',
  add column lightest integer not null default 0,
  add column heaviest integer not null default 0,
  add column slanted boolean not null default false,
  add column restricted boolean not null default false;
