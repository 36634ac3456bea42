import type { Db } from '../database/open';
import { searchIn } from '../database/search';
import type { SourceKey } from '../drafting/tasks';
import type { Tasks } from '../searching/tasks';
import { workerFor } from '../workers/asker';

/** Passages written at a time: between two slices others are served. */
const SLICE = 500;
const MOST = 60;

/**
 * The search over sources. What cannot be searched yet is made so in slices, whenever something came in and at the
 * start, so that a stop in the middle loses nothing.
 */
export function searchDesk(db: Db, folder: string) {
  const search = searchIn(db);
  const worker = workerFor<Tasks>('searcher.mjs', folder);
  let filling: Promise<void> | undefined;
  let closed = false;
  /** Nothing is written any more once the desk closes. */
  const over = () => closed || !db.open;

  async function fill(): Promise<void> {
    for (let row = over() ? undefined : search.waiting(); row; row = over() ? undefined : search.waiting()) {
      const key = { id: row.source_id, version: row.version };
      search.clear(key);
      for (let from = 0, total = 1; from < total && !over(); from += SLICE) {
        const made = await worker.ask('rows', { source: key, from, many: SLICE });
        total = made.total;
        if (!over()) db.transaction(() => search.add(key, made.rows))();
      }
      if (!over()) search.finish(key);
    }
  }

  return {
    /** Makes searchable whatever is not yet. */
    fill(): void {
      filling ??= fill()
        .catch((error: unknown) => console.error(error))
        .finally(() => (filling = undefined));
    },
    /** Waits until everything is searchable. */
    async filled(): Promise<void> {
      this.fill();
      await filling;
    },
    /** Passages of some sources that hold what was typed, best first; `unready` sources are not searched yet. */
    find: (typed: string, scope: readonly SourceKey[]) =>
      worker.ask('search', { typed, scope: [...scope], most: MOST }),
    async close(): Promise<void> {
      closed = true;
      await worker.stop();
    },
  };
}

export type SearchDesk = ReturnType<typeof searchDesk>;
