// Searching, and making sources searchable, away from the server's own thread and from drafting. It reads; it never
// writes.
import { fail } from '../../core/document/problem';
import { excerpt, matchExpression, searchHits, searchQuery, searchText } from '../../core/language/search';
import type { Source } from '../../core/source/source';
import { searchIn, type FoundRow } from '../database/search';
import { sourcesIn } from '../database/sources';
import { packFor } from '../language/packs';
import { remembered } from '../utils/remembered';
import { database, serveTasks } from '../workers/serve';
import type { Found, Tasks } from './tasks';

const held = remembered<Source>({ most: 2 });
let search: ReturnType<typeof searchIn> | undefined;

serveTasks<Tasks>({
  rows({ source: { id, version }, from, many }) {
    const source = held.of(
      `${id}/${version}`,
      () => sourcesIn(database()).read(id, version)?.source ?? fail('no-such-source', undefined, id),
    );
    const pack = packFor(source.language);
    const rows = source.passages.slice(from, from + many).map(({ id, kind, text, locator }, index) => ({
      id,
      position: from + index,
      kind,
      text,
      locator,
      ...searchText(text, pack),
      headings: searchText(locator.path.at(-1) ?? '', pack).stems,
    }));
    return { rows, total: source.passages.length };
  },
  search({ typed, scope, most }) {
    search ??= searchIn(database());
    const languages = search.languages(scope);
    const query = searchQuery(typed, languages.map(packFor));
    const unready = search.unready(scope);
    if (!query) return { found: [], more: false, unready };
    const rows = search.find(matchExpression(query, 'all'), scope, most + 1);
    if (rows.length < most && query.terms.length > 1) {
      // Fewer than asked say all of it: those that say some of it follow.
      const there = new Set(rows.map((row) => `${row.source_id}/${row.id}`));
      rows.push(
        ...search
          .find(matchExpression(query, 'any'), scope, most + 1)
          .filter((row) => !there.has(`${row.source_id}/${row.id}`)),
      );
    }
    const packs = new Map(sourceLanguages(scope));
    const found = rows.slice(0, most).map((row): Found => {
      const hits = searchHits(row.text, query, packFor(packs.get(row.source_id) ?? languages[0]));
      return { ...placed(row), ...excerpt(row.text, hits) };
    });
    return { found, more: rows.length > most, unready };
  },
});

function placed({ source_id, id, kind, locator }: FoundRow): Pick<Found, 'sourceId' | 'id' | 'kind' | 'locator'> {
  return { sourceId: source_id, id, kind, locator: JSON.parse(locator) as Found['locator'] };
}

function sourceLanguages(scope: Tasks['search']['given']['scope']): [string, string][] {
  const language = database().prepare<[string, string], { language: string }>(
    'select language from source_version where source_id = ? and version = ?',
  );
  return scope.flatMap(({ id, version }) => {
    const row = language.get(id, version);
    return row ? [[id, row.language] as [string, string]] : [];
  });
}
