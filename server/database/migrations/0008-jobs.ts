/**
 * One table for jobs of every kind, where there was one for drafting: what a job is given and what it made are JSON of
 * its kind's own, a course and a revision only where it works on one; each step with how often it was tried and when it
 * is due.
 */
export const sql = `
create table any_job (
  id text primary key, kind text not null, course_id text references course (id) on delete cascade, person_id text not null,
  revision integer, payload text not null, state text not null check (state in ('running', 'done', 'stopped')),
  made_at integer not null, ended_at integer
) strict;
create table any_step (
  job_id text not null references any_job (id) on delete cascade, position integer not null, item text not null, title text not null,
  state text not null check (state in ('waiting', 'done', 'kept', 'failed', 'stopped')), problem text,
  attempts integer not null default 0, due_at integer not null default 0, result text, primary key (job_id, position)
) strict;
insert into any_job select id, 'drafting', course_id, person_id, revision, json_object('sources', json(sources)), state, made_at, ended_at from job;
insert into any_step select job_id, position, lesson_id, title, state, problem, 0, 0, null from job_step;
drop table job_step;
drop table job;
alter table any_job rename to job;
alter table any_step rename to job_step;
create index job_by_course on job (course_id, made_at);
create index job_by_kind on job (kind, made_at);
create index job_under_way on job (state) where state = 'running';
`;
