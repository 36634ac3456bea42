import type { Block } from '../../course/blocks';
import { idFrom } from '../../course/id';
import type { RichText } from '../../course/rich-text';
import type { Passage } from '../../source/source';
import type { Matter, Part } from '../parts';
import { passageBlock, tableOf } from '../../source/on-page';
import { richRange } from '../../source/rich';
import { richSentence, richSentences } from '../rich';

/** Code within a list of up to so many lines stands in its item, line by line; longer code stands behind the list. */
const LINES_IN_ITEM = 4;

/** How each kind of part becomes blocks; `place` makes ids. */
export const FROM_PART: Record<Exclude<Part['kind'], 'text'>, (part: Part, place: string, matter: Matter) => Block[]> = {
  list: (part, place) => {
    const id = idFrom('b', place);
    const [{ passage: first }] = part.items;
    const items = part.items.filter(({ passage }) => !standsApart(passage)).flatMap(({ passage, sentences }) => {
      const depth = passage.list ? Math.min(8, passage.list.depth + (passage.list.continued || passage.kind === 'code' ? 1 : 0)) : 0;
      return passage.kind === 'code' ? codeLines(passage, id).map((text) => ({ depth, text })) : [{ depth, text: definitionText(passage, sentences, id) }];
    });
    return [...(items.length > 0 ? [{ id, kind: 'list' as const, body: { ordered: first.list?.ordered ?? false, items } }] : []), ...codeOf(part, place)];
  },

  steps: (part, place) => {
    const id = idFrom('b', place);
    const steps: { text: RichText; detail?: RichText[] }[] = [];
    for (const { passage, sentences } of part.items) {
      if (standsApart(passage)) continue;
      const last = steps.at(-1);
      if (last && ((passage.list?.depth ?? 0) > 0 || passage.list?.continued || passage.kind === 'code')) last.detail = [...(last.detail ?? []), ...(passage.kind === 'code' ? codeLines(passage, id) : [richSentences(sentences, id)])];
      else {
        const [first, ...rest] = sentences;
        if (first) steps.push({ text: richSentence(first, id), ...(rest.length > 0 && { detail: [richSentences(rest, id)] }) });
      }
    }
    return [...(steps.length > 0 ? [{ id, kind: 'steps' as const, body: { steps } }] : []), ...codeOf(part, place)];
  },

  table: (part, place) => [tableOf(part.items.map(({ passage }) => passage), idFrom('b', place))],

  code: (part, place) => {
    const [{ passage }] = part.items;
    return [passageBlock(passage, idFrom('b', place))];
  },

  terms: (part, place, matter) => {
    const id = idFrom('b', place);
    const terms = part.items.map(({ passage }) => {
      const entry = matter.of(passage.id).entries.get(passage.id)!;
      // The whole of what is said of the term, not its first sentence only.
      return { term: entry.term, text: richRange(passage, entry.range.from, passage.text.length, [], passage.text.slice(entry.range.from), id) };
    });
    return [{ id, kind: 'terms', body: { terms } }];
  },
};

/** An entry of a definition list that is no glossary: its term stands before it. */
function definitionText(passage: Passage, sentences: Part['items'][number]['sentences'], place: string): RichText {
  const text = richSentences(sentences, place);
  return passage.kind === 'definition' && passage.term ? [{ type: 'text' as const, text: passage.term, marks: [{ type: 'strong' as const }] }, { type: 'text' as const, text: ' – ' }, ...text] : text;
}

const standsApart = ({ kind, text }: Passage): boolean => kind === 'code' && text.trim().split('\n').length > LINES_IN_ITEM;

/** Short code as lines of an item, each on its evidence. */
function codeLines(passage: Passage, place: string): RichText[] {
  const marked: Passage = { ...passage, marks: [{ from: 0, to: passage.text.length, kind: 'code' }] };
  return [...passage.text.matchAll(/\S[^\n]*/g)].map((line) => richRange(marked, line.index, line.index + line[0].trimEnd().length, [], line[0].trimEnd(), place));
}

function codeOf(part: Part, place: string): Block[] {
  return part.items.filter(({ passage }) => standsApart(passage)).map(({ passage }) => passageBlock(passage, idFrom('b', place, passage.id)));
}
