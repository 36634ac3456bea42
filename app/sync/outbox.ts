import { createStore, del, delMany, entries, get, setMany } from 'idb-keyval';
import type { Operation } from '~~/core/course/operations';

/** A change that the server has not confirmed yet. */
export interface Pending {
  id: string;
  group: string;
  what: string;
  /** Whether its gesture may fall apart: words typed here and there, of which each stands for itself. */
  loose: boolean;
  /** Orders them: later ones are larger. */
  at: number;
  operation: Operation;
  /** The server will never take it: it is kept for its author to copy, and not sent again. */
  stuck?: boolean;
}

/** Where pending changes lie in this browser, each by itself, so that windows do not write over each other's. */
export interface Outbox {
  load(): Promise<Pending[]>;
  /** False when the browser keeps nothing: then they live as long as the window. */
  put(changes: readonly Pending[]): Promise<boolean>;
  drop(ids: readonly string[]): Promise<void>;
}

const box = () => createStore('uplift-changes', 'pending');

/** The courses for which changes of a person wait in this browser to be sent. */
export async function coursesWaiting(person: string): Promise<string[]> {
  try {
    const waiting = (await entries<string, Pending>(box())).filter(
      ([name, change]) => name.startsWith(`${person}/`) && !change.stuck,
    );
    return [...new Set(waiting.map(([name]) => name.split('/')[1]!))];
  } catch {
    return [];
  }
}

/** The box of one person's changes to one course. */
export function outboxOf(person: string, course: string): Outbox {
  const store = box();
  const key = (id: string) => `${person}/${course}/${id}`;
  // Versions before this one kept them all under one key.
  const older = `pending/${course}`;
  return {
    async load() {
      try {
        const own = (await entries<string, Pending>(store))
          .filter(([name]) => name.startsWith(key('')))
          .map(([, change]) => change);
        const before = ((await get<Omit<Pending, 'at' | 'loose'>[]>(older)) ?? []).map((change, at): Pending => ({
          ...change,
          at,
          loose: true,
        }));
        if (before.length > 0) {
          await setMany(
            before.map((change) => [key(change.id), change]),
            store,
          );
          await del(older);
        }
        return [...own, ...before].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
      } catch {
        return [];
      }
    },
    async put(changes) {
      try {
        // Plain copies: what the screen watches cannot be stored.
        await setMany(
          changes.map((change) => [key(change.id), JSON.parse(JSON.stringify(change)) as Pending]),
          store,
        );
        return true;
      } catch {
        return false;
      }
    },
    async drop(ids) {
      try {
        if (ids.length > 0) await delMany(ids.map(key), store);
      } catch {
        // What stays is sent once more at the next start, and made once all the same.
      }
    },
  };
}
