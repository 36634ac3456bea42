/**
 * Answers to feedback forms. A sheet without a name has neither learner nor time, and lies where chance puts it: what
 * is known of who answered is only that they did.
 */
export const sql = `
create table survey_sheet (
  id text not null primary key,
  course_id text not null references course (id) on delete cascade,
  block_id text not null,
  release_id text not null references release (id) on delete cascade,
  learner_id text references learner (id) on delete cascade,
  name text,
  answers text not null,
  received_at integer,
  check (name is not null or (learner_id is null and received_at is null))
) strict, without rowid;
create index survey_sheet_by_form on survey_sheet (course_id, block_id);
create table survey_given (
  learner_id text not null references learner (id) on delete cascade,
  block_id text not null,
  primary key (learner_id, block_id)
) strict, without rowid;
`;
