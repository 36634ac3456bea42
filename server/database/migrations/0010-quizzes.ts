/** Tries at quizzes are begun and handed in, and a person can grant more time or tries: events of their own. */
export const sql = `
drop trigger attempt_stays;
alter table attempt rename to attempt_before;
create table attempt (
  serial integer primary key, id text not null,
  learner_id text not null references learner (id) on delete cascade,
  release_id text not null references release (id),
  kind text not null check (kind in ('read', 'answer', 'mark', 'sit', 'hand', 'grant')),
  lesson_id text not null, check_id text, answer text check (answer is null or json_valid(answer)),
  made_at integer not null, received_at integer not null,
  unique (learner_id, id)
) strict;
insert into attempt select * from attempt_before;
drop table attempt_before;
create trigger attempt_stays before update on attempt
  begin select raise (abort, 'attempts are only ever added'); end;
`;
