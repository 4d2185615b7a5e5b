-- The Content-Security-Policy of each release: pages with hosted clips let in one host more.
alter table release add policy text not null
  default 'default-src ''none''; script-src ''self''; style-src ''self''; img-src ''self''; font-src ''self''; base-uri ''none''; form-action ''self''; frame-ancestors ''self''';
