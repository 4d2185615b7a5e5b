create table site (
  id text primary key,
  name text not null,
  -- bands and widths, as the site part of every page document
  document jsonb not null,
  created_at timestamptz not null
);

create table page (
  id text primary key,
  site_id text not null references site,
  slug text not null,
  head integer not null,
  live_release bigint,
  created_at timestamptz not null,
  unique (site_id, slug)
);

-- Append-only: the document after each change, the edits that led to it, and those that lead back.
create table revision (
  page_id text not null references page,
  number integer not null,
  kind text not null,
  document jsonb not null,
  edits jsonb not null,
  inverse jsonb not null,
  -- what undo and redo would take back here, and the revision that has the rest of each stack
  undo_target integer,
  undo_rest integer,
  redo_target integer,
  redo_rest integer,
  created_at timestamptz not null,
  primary key (page_id, number)
);

create table media (
  id text primary key,
  site_id text not null references site,
  name text not null,
  alt text not null,
  hash text not null,
  type text not null,
  width integer not null,
  height integer not null,
  bytes bigint not null,
  created_at timestamptz not null
);
create index media_by_site on media (site_id, created_at);

create table release (
  id bigint generated always as identity primary key,
  page_id text not null references page,
  number integer not null,
  revision integer not null,
  created_at timestamptz not null,
  unique (page_id, number)
);

create table release_file (
  release_id bigint not null references release,
  path text not null,
  hash text not null,
  type text not null,
  bytes bigint not null,
  primary key (release_id, path)
);
