import type { Locator, PassageKind } from '../../core/source/source';
import type { Db } from './open';
import type { SourceKey } from '../drafting/tasks';

/** A passage with its words for the search. */
export interface SearchRow {
  id: string;
  position: number;
  kind: PassageKind;
  text: string;
  locator: Locator;
  words: string;
  stems: string;
  headings: string;
}

/** A passage found. */
export interface FoundRow {
  source_id: string;
  version: string;
  id: string;
  kind: PassageKind;
  text: string;
  locator: string;
}

/** Weight of a hit in the words, the stems, and the heading above. */
const WEIGHTS = '0.5, 1.0, 0.6';

/** The passages of source versions and their full-text index. */
export function searchIn(db: Db) {
  const waiting = db.prepare<[], { source_id: string; version: string }>(
    'select source_id, version from source_version where searchable = 0 order by read_at, source_id, version limit 1',
  );
  const clearWords = db.prepare(
    'delete from passage_words where rowid in (select serial from passage where source_id = ? and version = ?)',
  );
  const clear = db.prepare('delete from passage where source_id = ? and version = ?');
  const add = db.prepare(
    'insert into passage (source_id, version, id, position, kind, text, locator) values (@sourceId, @version, @id, @position, @kind, @text, @locator)',
  );
  const addWords = db.prepare('insert into passage_words (rowid, words, stems, headings) values (?, ?, ?, ?)');
  const done = db.prepare('update source_version set searchable = 1 where source_id = ? and version = ?');
  const within =
    "select json_extract(value, '$.id') as source_id, json_extract(value, '$.version') as version from json_each(@scope)";
  const find = db.prepare<
    { scope: string; match: string; most: number },
    FoundRow
  >(`select passage.source_id, passage.version, passage.id, passage.kind, passage.text, passage.locator
    from passage_words join passage on passage.serial = passage_words.rowid
    where passage_words match @match and (passage.source_id, passage.version) in (${within}) order by bm25(passage_words, ${WEIGHTS}), passage.serial limit @most`);
  const languages = db.prepare<{ scope: string }, { language: string }>(
    `select distinct language from source_version where (source_id, version) in (${within}) order by language`,
  );
  const known = db.prepare<[string], { source_id: string; version: string; text: string; locator: string }>(
    'select source_id, version, text, locator from passage where id = ? order by serial desc limit 1',
  );
  const unready = db.prepare<{ scope: string }, { count: number }>(
    `select count(*) as count from source_version where searchable = 0 and (source_id, version) in (${within})`,
  );
  return {
    /** A version that cannot be searched yet. */
    waiting: () => waiting.get(),
    /** Takes out what was begun. */
    clear({ id, version }: SourceKey) {
      clearWords.run(id, version);
      clear.run(id, version);
    },
    add({ id: sourceId, version }: SourceKey, rows: readonly SearchRow[]) {
      for (const { words, stems, headings, ...row } of rows) {
        const { lastInsertRowid } = add.run({
          sourceId,
          version,
          id: row.id,
          position: row.position,
          kind: row.kind,
          text: row.text,
          locator: JSON.stringify(row.locator),
        });
        addWords.run(lastInsertRowid, words, stems, headings);
      }
    },
    finish: ({ id, version }: SourceKey) => void done.run(id, version),
    /** Passages of some sources that match, best first. */
    find: (match: string, scope: readonly SourceKey[], most: number) =>
      find.all({ match, scope: JSON.stringify(scope), most }),
    /** A passage as it was read last, in whatever version. */
    known: (id: string) => known.get(id),
    languages: (scope: readonly SourceKey[]) =>
      languages.all({ scope: JSON.stringify(scope) }).map((row) => row.language),
    /** How many of some sources cannot be searched yet. */
    unready: (scope: readonly SourceKey[]) => unready.get({ scope: JSON.stringify(scope) })!.count,
  };
}
