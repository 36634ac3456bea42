import { vi } from 'vitest';
import type { Course } from '../../../core/course/course';
import { apply, applyAll, type Operation } from '../../../core/course/operations';
import { aCourse } from '../../builders';

interface Sent {
  since: number;
  what?: string;
  changes: { id: string; group: string; operation: Operation }[];
}

/** A server as the desk sees it: one course, changes of others, and moods. */
export function aServer() {
  const server = {
    course: aCourse() as Course,
    revision: 0,
    log: [] as Operation[],
    seen: new Set<string>(),
    sent: [] as Sent[],
    mood: 'well' as 'well' | 'gone' | 'strict' | 'strict-once' | 'signed-out',
    mostMissed: Infinity,
    openFails: 0,
    refuses: undefined as string | undefined,
    groups: [] as Operation[][],
    /** Somebody else changes the course. */
    other(operation: Operation) {
      const applied = apply(server.course, operation);
      if (!applied.ok) throw new Error(applied.problem.code);
      server.course = applied.course;
      server.revision++;
      server.log.push(operation);
    },
  };
  /** What others did since; nothing where it is too much. */
  const missedSince = (since: number) =>
    server.log.length - since > server.mostMissed ? undefined : server.log.slice(since);
  const answer = async (path: string, { body, query }: { body?: Sent; query?: { since: number } } = {}) => {
    await Promise.resolve();
    if (server.mood === 'gone') throw new Error('fetch failed');
    if (server.mood === 'signed-out')
      throw Object.assign(new Error('401'), {
        statusCode: 401,
        data: { data: { code: 'not-signed-in', message: 'Sign in first.' } },
      });
    if (path.endsWith('/operations')) {
      const strict = server.mood.startsWith('strict');
      if (server.mood === 'strict-once') server.mood = 'well';
      if (strict)
        throw Object.assign(new Error('422'), {
          statusCode: 422,
          data: { data: { code: 'bad-input', message: 'What was sent cannot be used.' } },
        });
      server.sent.push(body!);
      const missed = missedSince(body!.since);
      const accepted: string[] = [];
      const refused: unknown[] = [];
      const fresh = body!.changes.filter(({ id }) => !server.seen.has(id));
      accepted.push(...body!.changes.filter(({ id }) => server.seen.has(id)).map(({ id }) => id));
      const applied = server.refuses
        ? { ok: false as const, problem: { code: server.refuses }, at: 0 }
        : applyAll(
            server.course,
            fresh.map(({ operation }) => operation),
          );
      if (!applied.ok)
        refused.push(
          ...fresh.map(({ id }, at) => ({
            id,
            problem: at === applied.at ? applied.problem : { code: 'with-gesture' },
          })),
        );
      else {
        server.course = applied.course;
        server.revision += fresh.length;
        server.log.push(...fresh.map(({ operation }) => operation));
        if (fresh.length > 0) server.groups.push(applied.inverses);
        for (const { id } of fresh) server.seen.add(id);
        accepted.push(...fresh.map(({ id }) => id));
      }
      return { revision: server.revision, accepted, refused, missed, undo: 'it' };
    }
    if (path.endsWith('/undo')) {
      const missed = missedSince(body!.since);
      const operations = server.groups.pop()!;
      for (const operation of operations) server.other(operation);
      return { revision: server.revision, missed, operations, what: 'it' };
    }
    if (path.endsWith('/changes')) return { revision: server.revision, missed: missedSince(query!.since) };
    if (path.endsWith('/figures')) return {};
    if (server.openFails-- > 0) throw new Error('fetch failed');
    return { course: server.course, revision: server.revision, role: 'author' };
  };
  vi.stubGlobal('$fetch', vi.fn(answer));
  return server;
}
