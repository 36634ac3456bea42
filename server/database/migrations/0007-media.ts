/**
 * Files of media with what their bytes say of them, and which course has which: a file is there for a course from when
 * it was given to it, whether or not anything shows it now.
 */
export const sql = `
create table media (
  hash text primary key, type text not null, bytes integer not null,
  width integer not null, height integer not null, made_at integer not null
) strict;
create table course_media (
  course_id text not null references course (id) on delete cascade,
  hash text not null references media (hash),
  name text not null, origin text not null, person_id text not null, added_at integer not null,
  primary key (course_id, hash)
) strict;
`;
