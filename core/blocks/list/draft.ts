import { idFrom } from '../../document/id';
import type { RichText } from '../../document/rich-text';
import type { Part } from '../../lesson/parts';
import { richSentences } from '../../lesson/rich';
import type { Passage } from '../../source/source';
import { codeLines, codeOf, standsApart } from '../code/draft';
import type { BlockDraft } from '../draft';

export const list: BlockDraft = (part, place) => {
  const id = idFrom('b', place);
  const [{ passage: first }] = part.items;
  const items = part.items
    .filter(({ passage }) => !standsApart(passage))
    .flatMap(({ passage, sentences }) => {
      const depth = passage.list
        ? Math.min(8, passage.list.depth + (passage.list.continued || passage.kind === 'code' ? 1 : 0))
        : 0;
      return passage.kind === 'code'
        ? codeLines(passage, id).map((text) => ({ depth, text }))
        : [{ depth, text: definitionText(passage, sentences, id) }];
    });
  return [
    ...(items.length > 0
      ? [{ id, kind: 'list' as const, body: { ordered: first.list?.ordered ?? false, items } }]
      : []),
    ...codeOf(part, place),
  ];
};

/** An entry of a definition list that is no glossary: its term stands before it. */
function definitionText(passage: Passage, sentences: Part['items'][number]['sentences'], place: string): RichText {
  const text = richSentences(sentences, place);
  return passage.kind === 'definition' && passage.term
    ? [
        { type: 'text' as const, text: passage.term, marks: [{ type: 'strong' as const }] },
        { type: 'text' as const, text: ' – ' },
        ...text,
      ]
    : text;
}
