import type { PassageRange } from '../document/rich-text';
import type { Knowledge } from './index';

/**
 * What is understood, without the words that the author found not to hold: neither taught nor asked, nor is what leans
 * on them.
 */
export function withoutWords(knowledge: readonly Knowledge[], gone: readonly PassageRange[]): Knowledge[] {
  if (gone.length === 0) return [...knowledge];
  const byPassage = new Map<string, PassageRange[]>();
  for (const range of gone) byPassage.set(range.id, [...(byPassage.get(range.id) ?? []), range]);
  const hit = ({ id, from, to }: PassageRange) =>
    (byPassage.get(id) ?? []).some((range) => from < range.to && to > range.from);
  return knowledge.map((each) => {
    if (![...byPassage.keys()].some((id) => each.passages.has(id))) return each;
    const sentences = new Map(each.sentences);
    for (const id of byPassage.keys()) {
      let leaning = false;
      const left = (each.sentences.get(id) ?? []).filter((sentence) => {
        leaning =
          hit({ id, from: sentence.from, to: sentence.to }) || (leaning && sentence.facts?.leaning !== undefined);
        return !leaning;
      });
      if (each.sentences.has(id)) sentences.set(id, left);
    }
    const kept = (range: PassageRange) =>
      !byPassage.has(range.id) ||
      (sentences.get(range.id) ?? []).some((sentence) => sentence.from < range.to && sentence.to > range.from);
    return {
      ...each,
      sentences,
      claims: each.claims.filter((claim) => claim.ranges.every((range) => !hit(range) && kept(range))),
    };
  });
}
