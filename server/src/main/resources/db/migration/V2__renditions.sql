-- A picture in fewer px, made once for all sites that have the same bytes.
create table rendition (
  source text not null,
  width integer not null,
  hash text not null,
  bytes bigint not null,
  primary key (source, width)
);
