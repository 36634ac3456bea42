import { blockTexts, checkIn, formOf, type Block } from '../blocks/forms';
import { allLessons, placedChecks, type Course } from './course';
import { evidencedSentences, sentenceHash, textOf, type PassageRange } from '../document/rich-text';

/**
 * What a block stands on: its sources word for word as drafted, sources but changed since, the author alone, our
 * connecting words, or nothing to say.
 */
export type Standing = 'source' | 'changed' | 'own' | 'connecting' | 'none';

/** Letters outside of sourced sentences that make no words of their own: spaces, stops, list marks. */
const GLUE = /^[\s\p{P}]*$/u;

/** Tells a block's standing from its evidence marks. */
export function standingOf(block: Block): Standing {
  const { evidence, framed } = formOf(block);
  if (evidence === 'none') return 'none';
  if (evidence === 'block') return block.evidence?.length ? 'source' : 'own';
  const texts = blockTexts(block).filter((text) => textOf(text).trim() !== '');
  if (texts.length === 0) return 'none';
  let sourced = 0;
  let changed = false;
  let own = false;
  let connecting = false;
  for (const text of texts) {
    for (const { mark, text: words } of evidencedSentences(text)) {
      sourced++;
      if (sentenceHash(words) !== mark.attrs.was) changed = true;
    }
    for (const run of text) {
      if (run.marks?.some((mark) => mark.type === 'evidence') || GLUE.test(run.text)) continue;
      if (run.marks?.some((mark) => mark.type === 'connecting')) connecting = true;
      else if (!framed) own = true;
    }
  }
  if (sourced === 0) return own ? 'own' : connecting ? 'connecting' : framed ? 'own' : 'none';
  return changed || own ? 'changed' : 'source';
}

/**
 * How much of a course stands on some words of its sources: sentences on its pages, questions placed, and the lessons
 * they are in.
 */
export function standsOn(
  course: Course,
  isHit: (range: PassageRange) => boolean,
): { sentences: number; checks: number; lessons: string[] } {
  const on = (ranges: readonly PassageRange[] = []) => ranges.some(isHit);
  const checks = placedChecks(course).filter((check) => on(check.evidence));
  const hit = new Set(checks.map((check) => check.id));
  let sentences = 0;
  const lessons = allLessons(course).filter((lesson) => {
    const own = lesson.blocks.reduce(
      (sum, block) =>
        sum +
        blockTexts(block)
          .flatMap(evidencedSentences)
          .filter(({ mark }) => on(mark.attrs.passages)).length +
        (on(block.evidence) ? 1 : 0),
      0,
    );
    sentences += own;
    return own > 0 || lesson.blocks.some((block) => hit.has(checkIn(block) ?? ''));
  });
  return { sentences, checks: checks.length, lessons: lessons.map((lesson) => lesson.id) };
}

/** Whether two ranges of passages have words in common. */
export function overlaps(a: PassageRange, b: PassageRange): boolean {
  return a.id === b.id && a.from < b.to && a.to > b.from;
}
