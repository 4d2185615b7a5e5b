-- Pages that somebody brought, with places in them for what is on a page of ours.
create table own_page (
  id text primary key,
  page_id text not null references page on delete cascade,
  name text not null,
  -- The path of the HTML among its files.
  entry text not null,
  -- Whether it came as a zip, and goes as one.
  packed boolean not null,
  places text not null default '[]',
  -- Counted up with each change of its places or its files.
  revision integer not null,
  brought_at timestamptz not null
);
create index own_page_of on own_page (page_id);

create table own_page_file (
  own_page_id text not null references own_page on delete cascade,
  place integer not null,
  path text not null,
  hash text not null,
  bytes bigint not null,
  primary key (own_page_id, place)
);
create unique index own_page_file_path on own_page_file (own_page_id, path);
