/** People, courses as logs of changes with snapshots, sources with their versions. Times are milliseconds UTC. */
export const sql = `
create table person (
  id text primary key, name text not null, login text not null unique collate nocase, password text not null,
  role text not null check (role in ('owner', 'member')), created_at integer not null
) strict;
create table session (
  token_hash text primary key, person_id text not null references person (id) on delete cascade, created_at integer not null, seen_at integer not null
) strict;
create table course (
  id text primary key, title text not null, revision integer not null, created_at integer not null, changed_at integer not null, removed_at integer
) strict;
create table member (
  course_id text not null references course (id) on delete cascade, person_id text not null references person (id) on delete cascade,
  role text not null check (role in ('author', 'reviewer', 'learner')), primary key (course_id, person_id)
) strict;
create table change (
  course_id text not null references course (id) on delete cascade, revision integer not null, id text not null, group_id text not null,
  person_id text not null, job text, made_at integer not null, version integer not null, operation text not null, inverse text not null,
  primary key (course_id, revision)
) strict;
create unique index change_by_id on change (course_id, id);
create index change_by_group on change (course_id, group_id, revision);
create table merged_change (course_id text not null references course (id) on delete cascade, id text not null, primary key (course_id, id)) strict;
create table change_group (
  course_id text not null references course (id) on delete cascade, group_id text not null, person_id text not null,
  kind text not null check (kind in ('do', 'undo', 'redo')), target text, what text not null, revision integer not null, taken_back integer not null default 0,
  primary key (course_id, group_id)
) strict;
create index change_group_by_person on change_group (course_id, person_id, revision);
create table snapshot (
  course_id text not null references course (id) on delete cascade, revision integer not null, document text not null, primary key (course_id, revision)
) strict;
create table named_version (
  id text primary key, course_id text not null references course (id) on delete cascade, name text not null, revision integer not null, person_id text not null, made_at integer not null
) strict;
create table source (
  id text primary key, owner_id text not null references person (id), title text not null, kind text not null, created_at integer not null
) strict;
create table source_version (
  source_id text not null references source (id) on delete cascade, version text not null, file_hash text not null, file_name text not null,
  language text not null, words integer not null, read_at integer not null, document text not null, claims text not null,
  primary key (source_id, version)
) strict;
create index source_version_by_file on source_version (file_hash);
create table course_source (
  course_id text not null references course (id) on delete cascade, source_id text not null, version text not null, position integer not null,
  added_by text not null, added_at integer not null, primary key (course_id, source_id),
  foreign key (source_id, version) references source_version (source_id, version)
) strict;
create table audit (id integer primary key, made_at integer not null, person_id text, what text not null, about text, detail text) strict;
`;
