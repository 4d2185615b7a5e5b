-- Where releases of a site go besides its own address.
create table destination (
  id text primary key,
  site_id text not null references site on delete cascade,
  name text not null,
  -- A folder of this machine, a store that speaks S3, a Git repository, a WebDAV server.
  sort text not null,
  address text not null,
  -- The bucket of a store, the branch of a repository; else empty.
  place text not null,
  -- Under which folder in it pages stand; empty for none.
  folder text not null,
  account text not null,
  secret text not null,
  -- Whether each release that goes live is sent by itself.
  follows boolean not null,
  made_at timestamptz not null
);
create index destination_of on destination (site_id);

-- What is, was or is to be sent of a page to one of them: the newest of each.
create table delivery (
  destination_id text not null references destination on delete cascade,
  page_id text not null references page on delete cascade,
  release_number integer not null,
  -- Counted up when it is asked for anew: who sends an older one stops.
  turn integer not null,
  state text not null,
  sent integer not null default 0,
  files integer not null default 0,
  bytes bigint not null default 0,
  tries integer not null default 0,
  problem text not null default '',
  -- The release that is there whole; nothing where none is.
  there integer,
  asked_at timestamptz not null,
  due_at timestamptz not null,
  ended_at timestamptz,
  claimed_at timestamptz,
  -- Who is at it; empty for nobody.
  claimed_by text not null default '',
  primary key (destination_id, page_id)
);
create index delivery_due on delivery (due_at) where state in ('WAITS', 'SENDS');
