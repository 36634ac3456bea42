import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const modules = JSON.parse(readFileSync('.nuxt/browser-modules.json', 'utf8')) as string[];

const { desk } = JSON.parse(readFileSync('scripts/rooms.json', 'utf8')) as { desk: string[] };
/** The rooms of the core that run in the browser; of languages what holds words against words, as said below. */
const ROOMS = new Set([...desk, 'language']);

describe('what reaches the browser', () => {
  it("of the core is the document, sizes, the learner's view with its marking, pictures and types, and nothing that reads, understands or drafts", () => {
    const rooms = new Set(modules.flatMap((id) => /^core\/(\w+)\//.exec(id)?.[1] ?? []));
    expect(rooms.has('course')).toBe(true);
    expect([...rooms].filter((room) => !ROOMS.has(room))).toEqual([]);
    // Of a kind its form and its marking, not how it is drafted or put on a page without a script.
    expect(modules.filter((id) => /^core\/(blocks|checks)\/.*(draft|page)s?\.ts$/.test(id))).toEqual([]);
    // Lists of wordings and holding words against words; no language itself, and no file of an outline is read here.
    expect(modules.filter((id) => /^core\/language\//.test(id) && !/\/(phrases|similarity)\.ts$/.test(id))).toEqual([]);
    expect(modules.filter((id) => /^core\/own\/(file|grid|opml)\.ts$/.test(id))).toEqual([]);
    // What a passage is and how it looks on a page; not how it is cut out of a document.
    expect(
      modules
        .filter((id) => /^core\/source\//.test(id))
        .filter((id) => !/\/(source|words|languages|cells|rich|on-page)\.ts$/.test(id)),
    ).toEqual([]);
  });

  it.each(['better-sqlite3', 'wink', 'snowball', 'mammoth', 'unpdf', 'linkedom', 'apexcharts', 'vaul', 'server/'])(
    'is free of %s',
    (name) =>
      expect(
        modules.filter(
          (id) =>
            id.includes(name) &&
            !/node_modules\/(nuxt|@nuxt|vue)/.test(id) &&
            (name !== 'server/' || id.startsWith('server/')),
        ),
      ).toEqual([]),
  );
});
