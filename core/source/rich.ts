import { idFrom } from '../document/id';
import {
  canonicalRichText,
  sentenceHash,
  type Edit,
  type PassageRange,
  type RichText,
  type TextMark,
} from '../document/rich-text';
import type { Passage } from './source';

/**
 * Any range of a passage as rich text on its evidence; `text` is the range after the edits; `also`: where else the
 * sources say the same.
 */
export function richRange(
  passage: Passage,
  from: number,
  to: number,
  edits: readonly Edit[],
  text: string,
  place: string,
  also: readonly PassageRange[] = [],
): RichText {
  const range: PassageRange = { id: passage.id, from, to, ...(edits.length > 0 && { edits: [...edits] }) };
  const evidence: TextMark = {
    type: 'evidence',
    attrs: {
      id: idFrom('e', place, passage.id, from, to),
      passages: [range],
      was: sentenceHash(text),
      ...(also.length > 0 && { also: [...also] }),
    },
  };
  const borders = new Set<number>([from, to]);
  const marks = (passage.marks ?? []).filter((mark) => mark.to > from && mark.from < to);
  for (const mark of marks) for (const at of [mark.from, mark.to]) if (at > from && at < to) borders.add(at);
  for (const edit of edits) borders.add(edit.from).add(edit.to);
  const places = [...borders].sort((a, b) => a - b);
  const runs: RichText = [];
  for (let index = 0; index < places.length - 1; index++) {
    const [start, end] = [places[index], places[index + 1]];
    const edit = edits.find((each) => each.from <= start && each.to >= end && each.to > each.from);
    const piece = edit ? (edit.from === start ? edit.with : '') : passage.text.slice(start, end);
    if (piece === '') continue;
    const own = marks
      .filter((mark) => mark.from <= start && mark.to >= end)
      .flatMap((mark): TextMark[] =>
        mark.kind === 'link'
          ? mark.href
            ? [{ type: 'link', attrs: { href: mark.href } }]
            : []
          : [{ type: mark.kind }],
      );
    runs.push({ type: 'text', text: piece, marks: [evidence, ...own] });
  }
  return canonicalRichText(runs);
}
