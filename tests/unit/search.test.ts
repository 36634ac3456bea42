import { describe, expect, it } from 'vitest';
import { excerpt, matchExpression, searchHits, searchQuery, searchText } from '../../core/language/search';
import { packFor } from '../../server/language/packs';

const marked = (text: string, typed: string, language = 'en') => {
  const query = searchQuery(typed, [packFor(language)]);
  return query ? searchHits(text, query, packFor(language)).map(({ from, to }) => text.slice(from, to)) : undefined;
};

describe('what is looked for', () => {
  it.each([
    ['late returns', 'Returning it later is a late return.', ['Returning', 'late', 'return'], 'en'],
    ['swol', 'A swollen pack swells.', ['swollen'], 'en'],
    // Finished by a space, it is a word of its own.
    ['bat ', 'A bat near the battery.', ['bat'], 'en'],
    ['café', 'The cafe and the Café.', ['cafe', 'Café'], 'en'],
    ['préstamo', 'Los prestamos y el préstamo.', ['prestamos', 'préstamo'], 'es'],
    ['インストール', 'パッケージをインストールする', ['インストール'], 'ja'],
  ])('%s is found in other forms', (typed, text, hits, language) =>
    expect(marked(text, typed, language)).toEqual(hits),
  );

  it('is nothing where nothing can be looked for', () => {
    expect(searchQuery('  ', [packFor('en')])).toBeUndefined();
    expect(searchQuery('?! "', [packFor('en')])).toBeUndefined();
    expect(searchQuery('the', [packFor('en')])).toBeUndefined();
  });

  it('is taken in every language at hand', () => {
    expect(searchQuery('Gebühren', [packFor('en'), packFor('de')])!.terms[0].stems).toEqual(['gebuhren', 'gebuhr']);
  });

  it('never reaches the query unquoted', () => {
    for (const typed of ['" OR words:*', 'a AND b) NEAR(', "x'; drop table passage; --", 'words : secret^2']) {
      const query = searchQuery(typed, [packFor('en')]);
      const outside = query
        ? matchExpression(query, 'all')
            .replace(/"[\p{L}\p{N}]*"/gu, '')
            .replace(/\{stems headings\}:|words:|AND|OR|\*|[() ]/g, '')
        : '';
      expect(outside).toBe('');
    }
  });

  it('stands in the index in both forms', () => {
    expect(searchText("The member's tools were returned.", packFor('en'))).toEqual({
      words: 'members tools returned',
      stems: 'member tool return',
    });
  });
});

describe('an excerpt', () => {
  const text = `${'Before it there is much to say. '.repeat(20)}The key stands here.${' After it there is more.'.repeat(20)}`;
  it('shows what was found, cut at words', () => {
    const at = text.indexOf('key');
    const shown = excerpt(text, [{ from: at, to: at + 3 }], 120);
    expect(shown.text.length).toBeLessThanOrEqual(120);
    expect(shown.hits.map(({ from, to }) => shown.text.slice(from, to))).toEqual(['key']);
    expect(shown.cut).toEqual({ before: true, after: true });
    expect(text).toContain(shown.text);
    expect(shown.text).toMatch(/^\S.*\S$/);
  });
  it('of a short text is all of it', () =>
    expect(excerpt('Short.', [], 120)).toEqual({ text: 'Short.', hits: [], cut: { before: false, after: false } }));
});
