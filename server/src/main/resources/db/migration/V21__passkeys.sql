-- Passkeys: what somebody's device proves itself with. Only the public half of a key is here.
alter table person
  -- what their devices know them by: bytes drawn by chance, as base64url; none before the first
  add handle text unique;

create table passkey (
  -- the credential's id, as base64url
  id text primary key,
  person_id text not null references person on delete cascade,
  name text not null,
  -- as it came when it was made, with the public key in it (W3C WebAuthn, 6.5), as base64url
  attestation text not null,
  public_key text not null,
  -- how often it was used, as it counts itself; 0 for those that do not count
  uses bigint not null,
  -- whether it may be, and is, kept on more than one device
  may_be_copied boolean not null,
  is_copied boolean not null,
  -- by which ways a browser reaches it, with commas between
  transports text not null,
  made_at timestamptz not null,
  used_at timestamptz
);
create index passkey_of on passkey (person_id);

-- What answers are asked for with: drawn once, the same for all servers.
create table drawn_secret (
  name text primary key,
  secret text not null
);
insert into drawn_secret values ('passkey',
  gen_random_uuid()::text || gen_random_uuid()::text || gen_random_uuid()::text);

-- Answers that let somebody in: each does so once.
create table used_answer (
  hash text primary key,
  until timestamptz not null
);
create index used_answer_until on used_answer (until);
