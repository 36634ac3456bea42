import { contentHash, idFrom } from '../document/id';
import type { ReadBlock, ReadDocument, ReadHeading, ReadPassage } from './blocks';
import { settleCallouts } from './callouts';
import { settleCaptions, settleNoteMarks } from './captions';
import { settleClauses } from './clauses';
import { headingNumber, settledLevels } from './headings';
import { folded } from './inline';
import { settleListMarks } from './list-marks';
import { settlePieces } from './pieces';
import type { Locator, Passage, Section, Source, SourceKind } from './source';
import { roughWords } from './words';

/**
 * Turns a reader's stream into a source: the section tree, lead-ins of lists, and ids that survive reading an
 * unchanged or moved passage again (hash of kind and letters; heading path only where that stands twice).
 * `id` is the source's own id; `language` is used when the document does not name one.
 */
export function assemble(
  document: ReadDocument,
  about: { id: string; kind: SourceKind; title: string; language: string },
): Source {
  const blocks = withoutAnchorSigns(
    settleCallouts(
      settleClauses(
        settleListMarks(settleCaptions(settleNoteMarks(withoutWholeQuotes(settlePieces(document.blocks))))),
      ),
    ),
  );
  const headings = blocks.filter((block): block is ReadHeading => block.kind === 'heading');
  const levels = settledLevels(headings);
  const soleTitle = titleHeading(blocks, headings, folded(document.title ?? ''));
  const title = folded(document.title ?? '') || soleTitle?.text || about.title;
  const root: Section = { id: idFrom('h', about.id, 'root'), title, level: 0, passages: [], sections: [] };
  const source: Source = {
    id: about.id,
    title,
    kind: about.kind,
    language: document.language ?? about.language,
    version: '',
    words: 0,
    root,
    passages: [],
    pictures: [],
    notices: document.notices,
  };

  const open: Section[] = [root];
  const saidLevels = [0];
  const titles: string[] = [];
  const naming = passageNaming(about.id);
  const tracker = leadInTracker();
  let headingAt = 0;
  for (const [at, block] of blocks.entries()) {
    if (block.kind === 'heading') {
      const level = levels[headingAt++];
      if (block === soleTitle) continue;
      while (open.length > 1 && saidLevels[saidLevels.length - 1] >= level) {
        open.pop();
        saidLevels.pop();
      }
      titles.length = open.length - 1;
      const numbered = headingNumber(block.text);
      const name = numbered?.title ?? block.text;
      titles.push(name);
      const section: Section = {
        id: naming('h', 'heading', name, titles),
        title: name,
        ...(numbered && { number: numbered.number }),
        level: open.length,
        passages: [],
        sections: [],
      };
      open[open.length - 1].sections.push(section);
      open.push(section);
      saidLevels.push(level);
      tracker.reset();
    } else if (block.kind === 'picture') {
      const near = source.passages.at(-1);
      // A caption above a picture is its own, unless the picture before has it.
      const above =
        near?.kind === 'caption' &&
        blocks[at - 1]?.kind === 'caption' &&
        source.pictures.every((picture) => picture.caption !== near.id);
      source.pictures.push({ ...block.picture, ...(near && { near: near.id }), ...(above && { caption: near.id }) });
    } else {
      const passage = toPassage(block, [...titles], naming);
      const leadIn = tracker.leadIn(passage);
      if (leadIn) passage.leadIn = leadIn;
      source.passages.push(passage);
      const shown =
        block.kind === 'caption' && blocks[at - 1]?.kind === 'picture' && blocks[at + 1]?.kind !== 'row'
          ? source.pictures.at(-1)
          : undefined;
      if (shown && !shown.caption) shown.caption = passage.id;
      open[open.length - 1].passages.push(passage.id);
    }
  }
  source.words = source.passages.reduce((sum, passage) => sum + roughWords(passage.text), 0);
  source.version = contentVersion(source);
  return source;
}

/** The version of a source: the SHA-256 of what it says, whatever its id. */
export function contentVersion({ title, passages }: Pick<Source, 'title' | 'passages'>): string {
  return contentHash(
    JSON.stringify([
      title,
      passages.map(({ kind, text, locator, list, table }) => [kind, text, locator.path, list?.depth, table?.cells]),
    ]),
  );
}

/**
 * A source as it would be read under another id: sections and passages named anew, as reading it under that id names
 * them. `ids` leads from each old id to the new one; those of the source itself are in it.
 */
export function renamedSource(source: Source, id: string): { source: Source; ids: Map<string, string> } {
  const ids = new Map([[source.id, id]]);
  const naming = passageNaming(id);
  const to = (old: string) => ids.get(old) ?? old;
  const section = (each: Section, path: readonly string[]): Section => {
    const titles = each.level === 0 ? [] : [...path, each.title];
    ids.set(each.id, each.level === 0 ? idFrom('h', id, 'root') : naming('h', 'heading', each.title, titles));
    return { ...each, id: to(each.id), sections: each.sections.map((inner) => section(inner, titles)) };
  };
  const named = section(source.root, []);
  for (const { id: old, kind, text, locator } of source.passages) ids.set(old, naming('p', kind, text, locator.path));
  const filled = (each: Section): Section => ({
    ...each,
    passages: each.passages.map(to),
    sections: each.sections.map(filled),
  });
  return {
    ids,
    source: {
      ...source,
      id,
      root: filled(named),
      passages: source.passages.map((passage) => ({
        ...passage,
        id: to(passage.id),
        ...(passage.leadIn && { leadIn: to(passage.leadIn) }),
      })),
      pictures: source.pictures.map((picture) => ({
        ...picture,
        ...(picture.near && { near: to(picture.near) }),
        ...(picture.caption && { caption: to(picture.caption) }),
      })),
    },
  };
}

/** The first heading, when it carries no number and stands above all others, or says the document's title. */
function titleHeading(
  blocks: readonly ReadBlock[],
  headings: readonly ReadHeading[],
  title: string,
): ReadHeading | undefined {
  const first = blocks.find((block) => block.kind !== 'picture');
  if (first?.kind !== 'heading' || headings.length < 2 || headingNumber(first.text)) return undefined;
  const said = title !== '' && first.text.toLowerCase() === title.toLowerCase();
  return said || headings.slice(1).every((heading) => heading.level > first.level) ? first : undefined;
}

/** A sign behind a heading that pages offer to link to it by ("Copyright¶"). */
function withoutAnchorSigns(blocks: readonly ReadBlock[]): ReadBlock[] {
  return blocks.map((block) => {
    const length = 'text' in block ? /\s?¶$/.exec(block.text)?.index : undefined;
    if (!('text' in block) || !length) return block;
    const marks =
      'marks' in block
        ? block.marks?.filter(({ from }) => from < length).map((mark) => ({ ...mark, to: Math.min(mark.to, length) }))
        : undefined;
    return { ...block, text: block.text.slice(0, length), ...(marks && { marks }) };
  });
}

/** Some documents set all their prose as quotations; then being a quotation says nothing. */
function withoutWholeQuotes(blocks: readonly ReadBlock[]): ReadBlock[] {
  const prose = blocks.filter((block): block is ReadPassage => block.kind === 'quote' || block.kind === 'paragraph');
  const length = (list: readonly ReadPassage[]) => list.reduce((sum, block) => sum + block.text.length, 0);
  if (length(prose.filter((block) => block.kind === 'quote')) < 0.4 * length(prose)) return [...blocks];
  return blocks.map((block) => (block.kind === 'quote' ? { ...block, kind: 'paragraph' } : block));
}

function toPassage(block: ReadPassage, path: string[], naming: Naming): Passage {
  const locator: Locator = { path };
  for (const key of ['page', 'slide', 'seconds', 'anchor', 'clause', 'file', 'question'] as const) {
    if (block[key] !== undefined) Object.assign(locator, { [key]: block[key] });
  }
  return {
    id: naming('p', block.kind, block.text, path),
    kind: block.kind,
    text: block.text,
    locator,
    ...(block.marks?.length && { marks: block.marks }),
    ...(block.list && { list: listOf(block.list) }),
    ...(block.table && { table: { id: block.table.key, header: block.table.header, cells: block.table.cells } }),
    ...(block.term && { term: block.term }),
    ...(block.speaker && { speaker: block.speaker }),
    ...(block.callout && { callout: block.callout }),
  };
}

function listOf({ key, ordered, depth, number, continued }: NonNullable<ReadPassage['list']>): Passage['list'] {
  return { id: key, ordered, depth, ...(number !== undefined && { number }), ...(continued && { continued }) };
}

type Naming = (letter: string, kind: string, text: string, path: readonly string[]) => string;

function passageNaming(sourceId: string): Naming {
  const taken = new Set<string>();
  const next = new Map<string, number>();
  return (letter, kind, text, path) => {
    const letters =
      text
        .toLowerCase()
        .replace(/^[\s\d.)(]+/, '')
        .replace(/[^\p{L}\p{N}]+/gu, '') || text;
    let id = idFrom(letter, sourceId, kind, letters);
    if (taken.has(id)) id = idFrom(letter, sourceId, kind, letters, path.join('\u0001'));
    if (taken.has(id)) {
      // The same words under the same headings once more: counted, so that thousands of them cost no search each.
      const place = id;
      let ordinal = next.get(place) ?? 2;
      do id = idFrom(letter, sourceId, kind, letters, path.join('\u0001'), ordinal++);
      while (taken.has(id));
      next.set(place, ordinal);
    }
    taken.add(id);
    return id;
  };
}

/** Remembers which passage introduces the list, table or code that follows it. */
function leadInTracker() {
  let before: Passage | undefined;
  let current: { key: string; leadIn?: string } | undefined;
  const items: Passage[] = [];
  return {
    reset() {
      before = undefined;
      current = undefined;
      items.length = 0;
    },
    leadIn(passage: Passage): string | undefined {
      const key = passage.list?.id ?? passage.table?.id;
      let leadIn: string | undefined;
      if (key === undefined) {
        if (passage.kind === 'code' && before && introduces(before.text)) leadIn = before.id;
        current = undefined;
        items.length = 0;
      } else {
        if (current?.key !== key) {
          current = { key, ...(before && !before.table && introduces(before.text) ? { leadIn: before.id } : {}) };
        }
        const depth = passage.list?.depth ?? 0;
        while (items.length > 0 && (items[items.length - 1].list?.depth ?? 0) >= depth) items.pop();
        leadIn = passage.list && items.length > 0 ? items[items.length - 1].id : current.leadIn;
        if (passage.list && !passage.list.continued) items.push(passage);
      }
      before = passage;
      return leadIn;
    },
  };
}

function introduces(text: string): boolean {
  return /[:：]\s*$/.test(text);
}
