/**
 * How people are reached, and the link by which they choose a password; settings of the installation; what the stand-in
 * for mail would have sent.
 */
export const sql = `
alter table person add column mail text;
create table password_link (
  token_hash text primary key, person_id text not null unique references person (id) on delete cascade, until integer not null
) strict;
create table setting (name text primary key, value text not null) strict;
create table outbox (
  id text primary key, made_at integer not null, recipient text not null, subject text not null, text text not null,
  message blob not null, state text not null check (state in ('sent', 'bounced'))
) strict;
`;
