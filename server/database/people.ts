import type { Db } from './open';

export type Role = 'owner' | 'member';
/** What somebody is in a course; who marks reads it too. */
export type CourseRole = 'author' | 'reviewer' | 'marker' | 'learner';

export interface Person {
  id: string;
  name: string;
  login: string;
  role: Role;
  /** Where letters reach them. */
  mail?: string | null;
}

/** A person as owners see them; `invited`: they have chosen no password yet. */
export interface PersonRow extends Person {
  invited: number;
}

/** A person as a request finds them: whether they must choose a password of their own first. */
export interface SignedIn extends Person {
  must_change: number;
}

/** A session as its person sees it: where it was begun, by what, when it was last used. Times are milliseconds UTC. */
export interface SessionRow {
  token_hash: string;
  about: string;
  address: string;
  created_at: number;
  seen_at: number;
}

/** A part in a course; `accepted_at` null: it is offered and not taken yet. */
export interface MemberRow {
  id: string;
  name: string;
  role: CourseRole;
  accepted_at: number | null;
}

/** A part in a course that a person is offered. */
export interface InvitationRow {
  course_id: string;
  title: string;
  role: CourseRole;
  by: string | null;
}

/**
 * People, their sessions and what they may in which course. Passwords come hashed, tokens too. Who was removed is in no
 * list.
 */
export function peopleIn(db: Db) {
  const columns = 'id, name, login, role, mail';
  const byLogin = db.prepare<[string], Person & { password: string; must_change: number }>(
    `select ${columns}, password, must_change from person where login = ? and removed_at is null`,
  );
  const byId = db.prepare<[string], Person & { password: string }>(
    `select ${columns}, password from person where id = ? and removed_at is null`,
  );
  const byToken = db.prepare<[string, number], SignedIn>(
    `select ${columns}, must_change from person join session on person_id = id where token_hash = ? and seen_at > ? and removed_at is null`,
  );
  const all = db.prepare<[], PersonRow>(
    `select ${columns}, password = '' as invited from person where removed_at is null order by created_at, id`,
  );
  const name = db.prepare<[string], { name: string }>('select name from person where id = ?');
  const insert = db.prepare(
    'insert into person (id, name, login, password, role, mail, created_at, must_change) values (@id, @name, @login, @password, @role, @mail, @at, @mustChange)',
  );
  const setPassword = db.prepare('update person set password = ?, must_change = ? where id = ?');
  const setMail = db.prepare('update person set mail = ? where id = ?');
  const setLink = db.prepare(
    'insert into password_link values (?, ?, ?) on conflict (person_id) do update set token_hash = excluded.token_hash, until = excluded.until',
  );
  const byLink = db.prepare<[string, number], Person & { password: string }>(
    `select ${columns}, password from person join password_link on person_id = id where token_hash = ? and until > ? and removed_at is null`,
  );
  const endLink = db.prepare('delete from password_link where person_id = ?');
  const setRole = db.prepare('update person set role = ? where id = ?');
  const leave = db.prepare(
    "update person set removed_at = ?, name = ?, login = 'removed ' || id, password = '', mail = null where id = ?",
  );
  const startSession = db.prepare(
    'insert into session (token_hash, person_id, created_at, seen_at, about, address) values (?, ?, ?, ?, ?, ?)',
  );
  const touch = db.prepare('update session set seen_at = ? where token_hash = ? and seen_at < ?');
  const endSession = db.prepare('delete from session where token_hash = ?');
  const sessions = db.prepare<[string], SessionRow>(
    'select token_hash, about, address, created_at, seen_at from session where person_id = ? order by seen_at desc, token_hash',
  );
  const endSessions = db.prepare('delete from session where person_id = ? and token_hash != ?');
  const endOld = db.prepare('delete from session where seen_at <= ?');
  const role = db.prepare<[string, string], { role: CourseRole }>(
    'select role from member where course_id = ? and person_id = ? and accepted_at is not null',
  );
  const membersOf = db.prepare<[string], MemberRow>(
    'select id, name, member.role as role, accepted_at from member join person on person.id = person_id where course_id = ? and removed_at is null order by name, id',
  );
  const invitations = db.prepare<
    [string],
    InvitationRow
  >(`select course_id, title, member.role as role, inviter.name as by from member join course on course.id = course_id and course.removed_at is null
    left join person inviter on inviter.id = invited_by where person_id = ? and accepted_at is null order by title, course_id`);
  const accept = db.prepare(
    'update member set accepted_at = ? where course_id = ? and person_id = ? and accepted_at is null',
  );
  const removeMember = db.prepare('delete from member where course_id = ? and person_id = ?');
  const removeMembers = db.prepare('delete from member where person_id = ?');
  const addMember =
    db.prepare(`insert into member (course_id, person_id, role, accepted_at, invited_by) values (@course, @person, @role, @at, @by)
    on conflict do update set role = excluded.role, accepted_at = coalesce(member.accepted_at, excluded.accepted_at)`);
  return {
    all: () => all.all(),
    byLogin: (login: string) => byLogin.get(login),
    byId: (id: string) => byId.get(id),
    /** What somebody is called, who has left or not; empty when nobody of that id was ever here. */
    nameOf: (id: string) => name.get(id)?.name ?? '',
    add: (person: Person, password: string, at: number, mustChange = false) =>
      void insert.run({ mail: null, ...person, password, at, mustChange: mustChange ? 1 : 0 }),
    /** Sets a password; `mustChange`: it was chosen by somebody else. */
    setPassword: (id: string, password: string, mustChange: boolean) =>
      void setPassword.run(password, mustChange ? 1 : 0, id),
    setMail: (id: string, mail: string | null) => void setMail.run(mail, id),
    /** Keeps the link by which a person chooses a password; one at a time. */
    setPasswordLink: (id: string, tokenHash: string, until: number) => void setLink.run(tokenHash, id, until),
    /** The person of a link that still works; `password` is empty for who never had one. */
    byPasswordLink: (tokenHash: string, now: number) => byLink.get(tokenHash, now),
    endPasswordLink: (id: string) => void endLink.run(id),
    setStanding: (id: string, standing: Role) => void setRole.run(standing, id),
    /**
     * Takes a person out: their sessions and parts go, what they made stays; `called` is what they are called from then
     * on.
     */
    leave(id: string, called: string, at: number) {
      endSessions.run(id, '');
      endLink.run(id);
      removeMembers.run(id);
      leave.run(at, called, id);
    },
    /** The person of a session that was seen after `since`. */
    bySession: (tokenHash: string, since: number) => byToken.get(tokenHash, since),
    startSession: (tokenHash: string, personId: string, at: number, about = '', address = '') =>
      void startSession.run(tokenHash, personId, at, at, about, address),
    /** Notes that a session was used; once a minute is enough. */
    touchSession: (tokenHash: string, at: number) => void touch.run(at, tokenHash, at - 60_000),
    endSession: (tokenHash: string) => void endSession.run(tokenHash),
    sessions: (personId: string) => sessions.all(personId),
    /** Ends all sessions of a person, all but one when its hash is given; says how many. */
    endSessions: (personId: string, but = '') => endSessions.run(personId, but).changes,
    /** Forgets sessions that were not seen since. */
    endOldSessions: (since: number) => void endOld.run(since),
    roleIn: (courseId: string, personId: string) => role.get(courseId, personId)?.role,
    membersOf: (courseId: string) => membersOf.all(courseId),
    /** Parts that a person is offered and has not accepted. */
    invitations: (personId: string) => invitations.all(personId),
    /** Takes an offered part; false when there is none. */
    accept: (courseId: string, personId: string, at: number) => accept.run(at, courseId, personId).changes > 0,
    removeRole: (courseId: string, personId: string) => removeMember.run(courseId, personId).changes > 0,
    /** Gives a part that counts at once, as to who made the course. */
    setRole: (courseId: string, personId: string, courseRole: CourseRole) =>
      void addMember.run({ course: courseId, person: personId, role: courseRole, at: 0, by: null }),
    /** Offers a part: it counts once it is accepted; who has one already gets the other at once. */
    invite: (courseId: string, personId: string, courseRole: CourseRole, by: string) =>
      void addMember.run({ course: courseId, person: personId, role: courseRole, at: null, by }),
  };
}
