-- Sections and pieces of a page that stand in pages of somebody else's.
create table snippet (
  page_id text not null references page on delete cascade,
  node text not null,
  taken_at timestamptz not null,
  primary key (page_id, node)
);

-- What is answered of one with a release, made when the release or the snippet is: it never changes.
create table snippet_answer (
  page_id text not null references page on delete cascade,
  release integer not null,
  node text not null,
  hash text not null,
  primary key (page_id, release, node)
);

-- Scripts that answers ask for, those of earlier versions too, by the names that they are asked by.
create table snippet_script (
  file text primary key,
  hash text not null
);

-- The origins of the pages that one was seen in.
create table snippet_seen (
  page_id text not null references page on delete cascade,
  node text not null,
  origin text not null,
  seen_at timestamptz not null,
  primary key (page_id, node, origin)
);
