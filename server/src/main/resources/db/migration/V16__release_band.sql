-- What a release's pictures weigh for whoever sees the whole page, band by band.
create table release_band (
  release_id bigint not null references release on delete cascade,
  -- From the narrowest band on, from 0.
  place int not null,
  name text not null,
  -- A width that is common there, px.
  width int not null,
  -- On screens of 1, 2 and 3 device px for a px.
  bytes bigint[] not null,
  primary key (release_id, place)
);
