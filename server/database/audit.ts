import type { Db } from './open';

/** What happened that somebody may have to answer for. */
export const AUDITED = [
  'sign-in',
  'sign-in-refused',
  'sign-out',
  'sessions-ended',
  'password-changed',
  'password-reset',
  'person-added',
  'letter-sent',
  'person-removed',
  'standing-changed',
  'rights-offered',
  'rights-changed',
  'rights-accepted',
  'rights-left',
  'course-adopted',
  'course-made',
  'course-removed',
  'course-restored',
  'course-imported',
  'source-added',
  'source-version',
  'source-removed',
  'source-given',
  'export',
  'release',
  'release-access',
  'release-withdrawn',
  'learner-removed',
  'learner-unnamed',
  'answer-marked',
  'quiz-granted',
  'hand-ins-saved',
  'feedback-saved',
  'sheet-taken-out',
] as const;
export type Audited = (typeof AUDITED)[number];

/** One line of the audit. `about` is the id it is about, `title` what that is called, `detail` more. */
export interface AuditRow {
  id: number;
  made_at: number;
  person: string | null;
  what: Audited;
  about: string | null;
  title: string | null;
  detail: string | null;
}

/**
 * What of the audit is looked for: kinds, a person's id, words in names and details, a time, lines before one (for
 * going on).
 */
export interface AuditFilter {
  what?: readonly string[];
  person?: string;
  words?: string;
  since?: number;
  until?: number;
  before?: number;
  most: number;
}

/** The audit of a data folder: only ever added to. */
export function auditIn(db: Db) {
  const insert = db.prepare('insert into audit (made_at, person_id, what, about, detail) values (?, ?, ?, ?, ?)');
  const list = db.prepare<
    [],
    { made_at: number; person_id: string | null; what: Audited; about: string | null; detail: string | null }
  >('select made_at, person_id, what, about, detail from audit order by id');
  // A detail may begin with the id of a person or a course; it is read and searched by its name.
  const find = db.prepare<Record<string, string | number | null>, AuditRow>(`
    with said as (
      select audit.id, audit.made_at, audit.person_id, person.name as person, audit.what, audit.about, coalesce(course.title, source.title, other.name) as title,
        coalesce((select title from course where course.id = first) || substr(detail, length(first) + 1), (select name from person where person.id = first) || substr(detail, length(first) + 1), detail) as detail
      from (select *, substr(detail, 1, instr(detail || ' ', ' ') - 1) as first from audit) as audit
        left join person on person.id = person_id left join course on course.id = about left join source on source.id = about left join person other on other.id = about
    )
    select id, made_at, person, what, about, title, detail from said
    where (@what is null or what in (select value from json_each(@what))) and (@person is null or person_id = @person)
      and (@words is null or instr(lower(coalesce(person, '') || ' ' || coalesce(title, '') || ' ' || coalesce(detail, '')), lower(@words)) > 0)
      and (@since is null or made_at >= @since) and (@until is null or made_at < @until) and (@before is null or id < @before)
    order by id desc limit @most`);
  return {
    note: (at: number, personId: string | null, what: Audited, about?: string, detail?: string) =>
      void insert.run(at, personId, what, about ?? null, detail ?? null),
    all: () => list.all(),
    /** Lines that fit, newest first. */
    find: ({ what, person, words, since, until, before, most }: AuditFilter) =>
      find.all({
        what: what?.length ? JSON.stringify(what) : null,
        person: person ?? null,
        words: words?.trim() || null,
        since: since ?? null,
        until: until ?? null,
        before: before ?? null,
        most,
      }),
  };
}
