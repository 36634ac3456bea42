import {
  defineEventHandler,
  getCookie,
  getHeader,
  getQuery,
  getRouterParams,
  type EventHandler,
  type H3Event,
} from 'h3';
import type { ClassConstructor } from 'class-transformer';
import type { CourseRole, SignedIn } from './database/people';
import { checkInput } from './inputs/check';
import { bodyAs, drained } from './inputs/body';
import { BODY_LIMITS, type BodyKind } from './rights/limits';
import { tokenHash } from './rights/password';
import { mayCall, type Right } from './rights/right';
import { installation, type Installation } from './utils/installation';
import { answering, refuse } from './utils/request';
import { SESSION_COOKIE, SESSION_LASTS } from './utils/session';

/** Parts of addresses; that they are ids was seen before any route is asked. */
export type Named =
  | 'block'
  | 'check'
  | 'course'
  | 'hash'
  | 'invitation'
  | 'job'
  | 'learner'
  | 'lesson'
  | 'letter'
  | 'link'
  | 'module'
  | 'orphan'
  | 'person'
  | 'release'
  | 'removed'
  | 'row'
  | 'session'
  | 'sheet'
  | 'source'
  | 'version';

/** What a route is asked: checked before it runs. What is not used is not looked up. */
export interface Asked<R extends Right, Body, Query> {
  event: H3Event;
  /** Who asks; where anyone may, perhaps nobody. */
  me: R extends 'anyone' ? SignedIn | undefined : SignedIn;
  /** Their part in the course the address names; set where the right is of one. */
  part: CourseRole;
  /** The parts of the address by their names. */
  ids: Record<Named, string>;
  body: Body;
  query: Query;
  desks: Installation;
}

/** Everything there is to say of a route. */
export interface Definition<R extends Right, Body, Query, Answer> {
  right: R;
  /** The form of its body; without one, none is read. */
  body?: ClassConstructor<Body & object>;
  /** The form of what stands behind the "?". */
  query?: ClassConstructor<Query & object>;
  /** How large the body may be, where it is not what a person fills in. */
  carries?: BodyKind;
  /** May be asked before a password that somebody else chose is replaced. */
  early?: boolean;
  run(asked: Asked<R, Body, Query>): Answer | Promise<Answer>;
}

/** A route as the server runs it and as the desk's client knows it. */
export interface Route<
  R extends Right = Right,
  Body = unknown,
  Query = unknown,
  Answer = unknown,
> extends EventHandler {
  definition: Definition<R, Body, Query, Answer>;
  /** What it takes and answers, for the client's types alone. */
  types?: { body: Body; query: Query; answer: Answer };
}

/** A route by its one definition: the right it asks for, what it takes, what it answers. */
export function route<R extends Right, Answer, Body = undefined, Query = undefined>(
  definition: Definition<R, Body, Query, Answer>,
): Route<R, Body, Query, Answer> {
  const { carries = 'form' } = definition;
  const handler = defineEventHandler((event) =>
    answering(async () => {
      const limit = BODY_LIMITS[carries];
      if (Number(getHeader(event, 'content-length') ?? 0) > limit.bytes) await drained(event, limit.bytes);
      const ids = getRouterParams(event) as Record<Named, string>;
      if (definition.right !== 'anyone') mustMay(event, definition, ids.course);
      return definition.run({
        event,
        ids,
        get me() {
          return personOf(event) as Asked<R, Body, Query>['me'];
        },
        part: event.context.part as CourseRole,
        body: (definition.body && (await bodyAs(event, definition.body, limit))) as Body,
        query: (definition.query && queryAs(event, definition.query)) as Query,
        get desks() {
          return installation();
        },
      });
    }),
  );
  return Object.assign(handler, { definition });
}

/** Refuses whoever may not call a route. */
function mustMay(event: H3Event, { right, early }: { right: Right; early?: boolean }, course?: string): void {
  const person = personOf(event);
  const part = person && course ? installation().people.roleIn(course, person.id) : undefined;
  if (!mayCall(right, person, part))
    refuse({ code: person ? (course && !part ? 'no-such-course' : 'no-right') : 'not-signed-in' });
  if (person?.must_change && !early) refuse({ code: 'own-password-first' });
  event.context.part = part;
}

/** Who asks, by the session of their browser; undefined for nobody. Looked up once a request. */
export function personOf(event: H3Event): SignedIn | undefined {
  const { context } = event as { context: { person?: SignedIn | null } };
  if (context.person === undefined) {
    const { people, now } = installation();
    const hash = sessionOf(event);
    context.person = (hash && people.bySession(hash, now() - SESSION_LASTS)) || null;
    if (context.person) touched(hash);
  }
  return context.person ?? undefined;
}

/** What a browser's session is kept under; empty without one. */
export function sessionOf(event: H3Event): string {
  const token = getCookie(event, SESSION_COOKIE);
  return token ? tokenHash(token) : '';
}

/** What stands behind the "?", checked against its class; what was left empty counts as not given. */
function queryAs<T extends object>(event: H3Event, kind: ClassConstructor<T>): T {
  const given = Object.entries(getQuery(event)).filter(([, value]) => value !== undefined && value !== '');
  const checked = checkInput(kind, Object.fromEntries(given));
  return checked.ok ? checked.value : refuse(checked.problem);
}

/** Notes that a session is in use; on a full disk it is read on without. */
function touched(hash: string): void {
  const { people, now } = installation();
  try {
    people.touchSession(hash, now());
  } catch (error) {
    if (!String((error as { code?: string }).code).startsWith('SQLITE_')) throw error;
  }
}
