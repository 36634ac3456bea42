/** Media of all sorts: what is only heard or taken along has no width and height, what goes on has seconds. */
export const sql = `
create table media_all (
  hash text primary key, type text not null, bytes integer not null,
  width integer, height integer, seconds real, made_at integer not null
) strict;
insert into media_all (hash, type, bytes, width, height, made_at)
  select hash, type, bytes, width, height, made_at from media;
create table course_media_all (
  course_id text not null references course (id) on delete cascade,
  hash text not null references media_all (hash),
  name text not null, origin text not null, person_id text not null, added_at integer not null,
  primary key (course_id, hash)
) strict;
insert into course_media_all select course_id, hash, name, origin, person_id, added_at from course_media;
drop table course_media;
drop table media;
alter table media_all rename to media;
alter table course_media_all rename to course_media;
`;
