/**
 * Drafting as jobs with a step per lesson; releases, those who learn by them, and what they did, which is only ever
 * added to.
 */
export const sql = `
create table job (
  id text primary key, course_id text not null references course (id) on delete cascade, person_id text not null, revision integer not null,
  sources text not null, state text not null check (state in ('running', 'done', 'stopped')), made_at integer not null, ended_at integer
) strict;
create index job_by_course on job (course_id, made_at);
create table job_step (
  job_id text not null references job (id) on delete cascade, position integer not null, lesson_id text not null, title text not null,
  state text not null check (state in ('waiting', 'done', 'kept', 'failed', 'stopped')), problem text, primary key (job_id, position)
) strict;
create table release (
  id text primary key, course_id text not null references course (id) on delete cascade, number integer not null, note text not null, document text not null, figures text not null,
  rules text not null, access text not null check (access in ('people', 'link', 'nobody')), person_id text not null, made_at integer not null, withdrawn_at integer,
  unique (course_id, number)
) strict;
create table course_link (course_id text primary key references course (id) on delete cascade, link text not null unique) strict;
create table learner (
  id text primary key, course_id text not null references course (id) on delete cascade, release_id text not null references release (id),
  person_id text references person (id) on delete set null, name text not null, key_hash text not null unique, begun_at integer not null, seen_at integer not null,
  unique (course_id, person_id)
) strict;
create table attempt (
  serial integer primary key, id text not null, learner_id text not null references learner (id) on delete cascade, release_id text not null references release (id),
  kind text not null check (kind in ('read', 'answer')), lesson_id text not null, check_id text, answer text, made_at integer not null, received_at integer not null,
  unique (learner_id, id)
) strict;
create trigger attempt_stays before update on attempt begin select raise (abort, 'attempts are only ever added'); end;
`;
