-- Files with content for items, as they were uploaded. A newer one does not change an older one.
create table source (
  id text primary key,
  site_id text not null references site,
  name text not null,
  hash text not null,
  replaced_by text references source,
  created_at timestamptz not null
);
create index source_by_site on source (site_id, created_at);

-- A file on its way into a piece: kept with all that was said of it until it is in or put aside.
create table intake (
  id text primary key,
  page_id text not null references page,
  piece text not null,
  source text not null references source,
  -- a field for each column; cells that were mended; numbers of the rows still to be taken
  mapping jsonb not null,
  mends jsonb not null,
  rest jsonb,
  state text not null,
  done integer not null,
  total integer not null,
  said text not null,
  created_at timestamptz not null
);
create index intake_by_page on intake (page_id, piece);
