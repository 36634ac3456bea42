/**
 * What was answered is JSON, as the check's kind has it, and no longer the id of an option; a person's mark is an event
 * beside it.
 */
export const sql = `
drop trigger attempt_stays;
alter table attempt rename to attempt_before;
create table attempt (
  serial integer primary key, id text not null,
  learner_id text not null references learner (id) on delete cascade,
  release_id text not null references release (id),
  kind text not null check (kind in ('read', 'answer', 'mark')),
  lesson_id text not null, check_id text, answer text check (answer is null or json_valid(answer)),
  made_at integer not null, received_at integer not null,
  unique (learner_id, id)
) strict;
insert into attempt (serial, id, learner_id, release_id, kind, lesson_id, check_id, answer, made_at, received_at)
  select serial, id, learner_id, release_id, kind, lesson_id, check_id,
    case when answer is null then null else json_quote(answer) end, made_at, received_at
  from attempt_before;
drop table attempt_before;
create trigger attempt_stays before update on attempt
  begin select raise (abort, 'attempts are only ever added'); end;
`;
