/** Files that learners hand in; a part in a course by which hand-ins are marked. */
export const sql = `
create table handed_file (
  learner_id text not null references learner (id) on delete cascade, hash text not null,
  name text not null, bytes integer not null, received_at integer not null,
  primary key (learner_id, hash)
) strict;
create index handed_file_by_hash on handed_file (hash);
alter table member rename to member_before;
create table member (
  course_id text not null references course (id) on delete cascade,
  person_id text not null references person (id) on delete cascade,
  role text not null check (role in ('author', 'reviewer', 'marker', 'learner')),
  accepted_at integer, invited_by text,
  primary key (course_id, person_id)
) strict;
insert into member select course_id, person_id, role, accepted_at, invited_by from member_before;
drop table member_before;
`;
