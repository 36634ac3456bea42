import type { Block } from '../../course/blocks';
import { idFrom } from '../../course/id';
import type { Passage } from '../../source/source';
import type { Piece } from '../piece';
import type { Matter } from '../pieces';
import { passageBlock, tableOf } from '../../source/on-page';
import { richRange } from '../../source/rich';
import { richSentence, richSentences } from '../rich';

/** How each kind of piece becomes blocks; `place` makes ids. A lead-in becomes a paragraph before its list. */
export const FROM_PIECE: Record<Exclude<Piece['kind'], 'sentence'>, (piece: Piece, place: string, matter: Matter) => Block[]> = {
  list: (piece, place) => {
    const id = idFrom('b', place);
    const items = piece.items.filter((item) => item.passage.kind !== 'code').map(({ passage, sentences }) => ({
      depth: passage.list ? Math.min(8, passage.list.depth) : 0,
      text: definitionText(passage, sentences, id),
    }));
    const [{ passage: first }] = piece.items;
    return [{ id, kind: 'list', body: { ordered: first.list?.ordered ?? false, items } }, ...codeOf(piece, place)];
  },

  steps: (piece, place) => {
    const id = idFrom('b', place);
    const steps: { text: ReturnType<typeof richSentences>; detail?: ReturnType<typeof richSentences>[] }[] = [];
    for (const { passage, sentences } of piece.items) {
      if (passage.kind === 'code') continue;
      const last = steps.at(-1);
      if (last && ((passage.list?.depth ?? 0) > 0 || passage.list?.continued)) last.detail = [...(last.detail ?? []), richSentences(sentences, id)];
      else {
        const [first, ...rest] = sentences;
        steps.push({ text: richSentence(first, id), ...(rest.length > 0 && { detail: [richSentences(rest, id)] }) });
      }
    }
    return [{ id, kind: 'steps', body: { steps } }, ...codeOf(piece, place)];
  },

  table: (piece, place) => [tableOf(piece.items.map(({ passage }) => passage), idFrom('b', place))],

  code: (piece, place) => {
    const [{ passage }] = piece.items;
    return [passageBlock(passage, idFrom('b', place))];
  },

  terms: (piece, place, matter) => {
    const id = idFrom('b', place);
    const terms = piece.items.flatMap(({ passage }) => {
      const entry = matter.of(passage.id).entries.get(passage.id);
      if (!entry) return [];
      const { from, to } = entry.range;
      return [{ term: entry.term, text: richRange(passage, from, to, [], passage.text.slice(from, to), id) }];
    });
    return [{ id, kind: 'terms', body: { terms } }];
  },
};

/** An entry of a definition list that is no glossary: its term stands before it. */
function definitionText(passage: Passage, sentences: Piece['items'][number]['sentences'], place: string) {
  const text = richSentences(sentences, place);
  return passage.kind === 'definition' && passage.term ? [{ type: 'text' as const, text: passage.term, marks: [{ type: 'strong' as const }] }, { type: 'text' as const, text: ' – ' }, ...text] : text;
}

function codeOf(piece: Piece, place: string): Block[] {
  return piece.items
    .filter((item) => item.passage.kind === 'code')
    .map(({ passage }) => passageBlock(passage, idFrom('b', place, passage.id)));
}
