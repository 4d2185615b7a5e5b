-- Several people: each has an address that they sign in with, and a role on each site.
alter table person
  -- owners of the whole installation may do everything everywhere
  add owns boolean not null default false,
  -- in small letters
  add address text unique,
  -- as Argon2 writes it; none for who has not chosen one
  add password text,
  -- who is let in no longer stays, since changes are theirs
  add ended_at timestamptz;
update person set owns = true where id = 'owner';

create table site_role (
  site_id text not null references site on delete cascade,
  person_id text not null references person on delete cascade,
  role text not null check (role in ('reviewer', 'writer', 'designer', 'owner')),
  primary key (site_id, person_id)
);
create index site_role_of on site_role (person_id);

-- Passwords that were wrong, by the address that was typed, whether anybody has it or not.
create table failed_sign_in (
  address text primary key,
  failures integer not null,
  last_at timestamptz not null
);

-- Who made a change; none for what nobody did: a plan, a start, changes of before.
alter table change add person_id text references person;

-- Links for people without an account: to a page as it stands or as it was released, until a date.
create table review_link (
  id text primary key,
  hash text not null unique,
  page_id text not null references page on delete cascade,
  -- none for the page as it stands
  release_number integer,
  name text not null,
  made_at timestamptz not null,
  until timestamptz not null
);
create index review_link_by_page on review_link (page_id);

-- What people say of a page: it hangs on a node of it, as it was seen at a width.
create table remark (
  id bigint generated always as identity primary key,
  page_id text not null references page on delete cascade,
  -- the link that a guest came by; none for people with an account
  link_id text references review_link on delete set null,
  guest boolean not null,
  person_id text references person,
  author text not null,
  node text not null,
  width integer not null,
  revision integer not null,
  body text not null,
  made_at timestamptz not null,
  done_at timestamptz,
  done_by text
);
create index remark_by_page on remark (page_id, id);

-- Whoever has what is live in memory is told when it is something else, whoever changed it.
create function tell_live() returns trigger language plpgsql as $$
begin
  perform pg_notify('giostra', json_build_object(
    'site', case when tg_table_name = 'site' then to_jsonb(old) ->> 'id' else to_jsonb(old) ->> 'site_id' end,
    'page', '', 'kind', 'live', 'told', json_build_object())::text);
  return null;
end $$;
create trigger tell_live_page after update on page for each row
  when (old.live_release is distinct from new.live_release or old.slug <> new.slug
    or old.put_away_at is distinct from new.put_away_at)
  execute function tell_live();
create trigger tell_dropped_page after delete on page for each row execute function tell_live();
create trigger tell_live_site after update on site for each row
  when (old.put_away_at is distinct from new.put_away_at)
  execute function tell_live();
create trigger tell_dropped_site after delete on site for each row execute function tell_live();
