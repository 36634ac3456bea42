import type { PassageKind, Locator } from '../../core/source/source';
import type { Range } from '../../core/language/pack';
import type { SearchRow } from '../database/search';
import type { SourceKey } from '../drafting/tasks';

/** A passage found, with the words that were looked for. */
export interface Found {
  sourceId: string;
  id: string;
  kind: PassageKind;
  locator: Locator;
  /** A stretch of the passage, its hits counted from the stretch's start. */
  text: string;
  hits: Range[];
  cut: { before: boolean; after: boolean };
}

/** What the searching worker can be asked. */
export interface Tasks {
  /** Some rows of a source for the index, from a position on. */
  rows: { given: { source: SourceKey; from: number; many: number }; made: { rows: SearchRow[]; total: number } };
  search: {
    given: { typed: string; scope: SourceKey[]; most: number };
    made: { found: Found[]; more: boolean; unready: number };
  };
}
