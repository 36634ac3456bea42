import type { Db } from './open';

export type Role = 'owner' | 'member';
export type CourseRole = 'author' | 'reviewer' | 'learner';

export interface Person {
  id: string;
  name: string;
  login: string;
  role: Role;
}

/** People, their sessions and what they may in which course. Passwords come hashed, tokens too. */
export function peopleIn(db: Db) {
  const columns = 'id, name, login, role';
  const byLogin = db.prepare<[string], Person & { password: string }>(`select ${columns}, password from person where login = ?`);
  const byToken = db.prepare<[string, number], Person>(`select ${columns} from person join session on person_id = id where token_hash = ? and seen_at > ?`);
  const all = db.prepare<[], Person>(`select ${columns} from person order by created_at, id`);
  const insert = db.prepare('insert into person (id, name, login, password, role, created_at) values (@id, @name, @login, @password, @role, @at)');
  const startSession = db.prepare('insert into session (token_hash, person_id, created_at, seen_at) values (?, ?, ?, ?)');
  const touch = db.prepare('update session set seen_at = ? where token_hash = ? and seen_at < ?');
  const endSession = db.prepare('delete from session where token_hash = ?');
  const role = db.prepare<[string, string], { role: CourseRole }>('select role from member where course_id = ? and person_id = ?');
  const membersOf = db.prepare<[string], { id: string; name: string; role: CourseRole }>('select id, name, member.role as role from member join person on person.id = person_id where course_id = ? order by name, id');
  const removeMember = db.prepare('delete from member where course_id = ? and person_id = ?');
  const addMember = db.prepare('insert into member (course_id, person_id, role) values (?, ?, ?) on conflict do update set role = excluded.role');
  return {
    all: () => all.all(),
    byLogin: (login: string) => byLogin.get(login),
    add: (person: Person, password: string, at: number) => void insert.run({ ...person, password, at }),
    /** The person of a session that was seen after `since`. */
    bySession: (tokenHash: string, since: number) => byToken.get(tokenHash, since),
    startSession: (tokenHash: string, personId: string, at: number) => void startSession.run(tokenHash, personId, at, at),
    /** Notes that a session was used; once a minute is enough. */
    touchSession: (tokenHash: string, at: number) => void touch.run(at, tokenHash, at - 60_000),
    endSession: (tokenHash: string) => void endSession.run(tokenHash),
    roleIn: (courseId: string, personId: string) => role.get(courseId, personId)?.role,
    membersOf: (courseId: string) => membersOf.all(courseId),
    removeRole: (courseId: string, personId: string) => void removeMember.run(courseId, personId),
    setRole: (courseId: string, personId: string, courseRole: CourseRole) => void addMember.run(courseId, personId, courseRole),
  };
}

/** What happened that somebody may have to answer for. */
export function auditIn(db: Db) {
  const insert = db.prepare('insert into audit (made_at, person_id, what, about, detail) values (?, ?, ?, ?, ?)');
  const list = db.prepare<[], { made_at: number; person_id: string | null; what: string; about: string | null; detail: string | null }>('select made_at, person_id, what, about, detail from audit order by id');
  return {
    note: (at: number, personId: string | null, what: 'sign-in' | 'sign-in-refused' | 'sign-out' | 'person-added' | 'rights-changed' | 'course-made' | 'course-removed' | 'source-removed' | 'export' | 'release' | 'release-access' | 'release-withdrawn', about?: string, detail?: string) =>
      void insert.run(at, personId, what, about ?? null, detail ?? null),
    all: () => list.all(),
  };
}
