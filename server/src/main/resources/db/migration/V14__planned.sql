-- What somebody says of a release, and what is to be published by itself.
alter table release add column note text not null default '';

create table planned_release (
  page_id text primary key references page on delete cascade,
  due_at timestamptz not null,
  note text not null default '',
  -- Why it could not be published; empty as long as it was not tried.
  failed text not null default '',
  -- Since when somebody is at it.
  claimed_at timestamptz
);
create index planned_release_due on planned_release (due_at) where failed = '';
