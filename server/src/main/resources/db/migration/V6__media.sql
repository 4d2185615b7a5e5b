alter table media
  add duration_ms bigint not null default 0,
  add codecs text not null default '',
  add decorative boolean not null default false,
  add focus text not null default '50% 50%',
  -- words with commas between
  add tags text not null default '';

-- Renditions are WebP beside the original; what was made in other types before is not asked for.
delete from rendition;
