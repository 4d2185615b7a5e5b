-- Who may act. The first owner is there from the start: on one machine nobody has to be named.
create table person (
  id text primary key,
  name text not null,
  made_at timestamptz not null
);
insert into person values ('owner', 'Owner', now());

-- Keys that let somebody in once, by what they are mixed to: what stands here opens nothing.
create table way_in (
  hash text primary key,
  person_id text not null references person on delete cascade,
  until timestamptz not null
);

-- Tokens for programs, likewise by what they are mixed to.
create table access_token (
  id text primary key,
  person_id text not null references person on delete cascade,
  name text not null,
  hash text not null unique,
  -- Whether it may change anything, or only look.
  changes boolean not null,
  made_at timestamptz not null,
  until timestamptz,
  used_at timestamptz
);
create index access_token_of on access_token (person_id);

-- Sessions of browsers. Source: Spring Session, schema-postgresql.sql.
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null unique,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);
create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
