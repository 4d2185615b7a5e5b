-- Pieces and sections that are kept on a site, as they are at their home; what links to them follows.
create table stock (
  id text primary key,
  site_id text not null references site,
  name text not null,
  -- where it was kept, and is edited while it is still there
  home_page text not null references page,
  home_node text not null,
  node jsonb not null,
  created_at timestamptz not null
);
create index stock_by_site on stock (site_id, created_at);
create index stock_by_home on stock (home_page);
