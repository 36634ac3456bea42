/**
 * Versions of documents and operations; in which order versions of a source were put, by whom, and who else may change
 * it; parts in a course that are offered until they are accepted; sign-in attempts and what a session is; people who
 * left.
 */
export const sql = `
alter table snapshot add column version integer not null default 1;
alter table release add column version integer not null default 1;
alter table course add column removed_by text;

alter table source_version add column put_by text;
alter table source_version add column serial integer not null default 0;
update source_version set serial = (select count(*) from source_version other where other.source_id = source_version.source_id and (other.read_at, other.version) <= (source_version.read_at, source_version.version));
update source_version set put_by = (select owner_id from source where source.id = source_id);
create table source_person (
  source_id text not null references source (id) on delete cascade, person_id text not null references person (id) on delete cascade,
  may text not null check (may in ('use', 'change')), given_by text not null, given_at integer not null, primary key (source_id, person_id)
) strict;

alter table member add column accepted_at integer;
alter table member add column invited_by text;
update member set accepted_at = 0;

alter table person add column removed_at integer;
alter table person add column must_change integer not null default 0;
alter table session add column about text not null default '';
alter table session add column address text not null default '';
create table sign_in_attempt (serial integer primary key, login text not null, address text not null, made_at integer not null) strict;
create index sign_in_attempt_by_time on sign_in_attempt (made_at);
create index audit_by_time on audit (made_at);
`;
