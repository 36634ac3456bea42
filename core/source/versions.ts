import type { Source } from './source';

/** What a newer version of a source brings, by passages. */
export interface VersionChange {
  same: number;
  added: string[];
  gone: string[];
}

/** Compares two versions of one source: a passage is the same when its id is, which survives being moved. */
export function compareVersions(before: Pick<Source, 'passages'>, after: Pick<Source, 'passages'>): VersionChange {
  const old = new Set(before.passages.map((passage) => passage.id));
  const now = new Set(after.passages.map((passage) => passage.id));
  return { same: [...now].filter((id) => old.has(id)).length, added: [...now].filter((id) => !old.has(id)), gone: [...old].filter((id) => !now.has(id)) };
}
