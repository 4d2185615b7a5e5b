-- Some frames of a clip, one under the other in one picture: looked at once for all sites that have
-- the same bytes.
create table clip_frames (
  source text primary key,
  hash text not null,
  frames integer not null
);
