import type { Knowledge } from '../knowledge';

/** A section's own passages, as a part of a lesson. */
export interface UnitSection {
  id: string;
  title: string;
  /** Titles above it, outermost first. */
  path: string[];
  passages: string[];
}

/** Neighbouring sections that together make one lesson's matter. */
export interface Unit {
  title: string;
  sourceId: string;
  sections: UnitSection[];
  words: number;
  /** What its claims are worth. */
  weight: number;
}

/** Something of the sources that the outline leaves out, and why. */
export interface Dropped {
  title: string;
  /** contents, legal, thanks, history, index, references, about: kinds of boilerplate; navigation; empty; known: the audience knows it; size: no room; supporting: a source that only adds has no place to add it. */
  reason: string;
  words: number;
  sourceId: string;
}

/** Words that can be taught, per passage: footnotes count nothing, program text a third. */
export function usableWords(knowledge: Knowledge): Map<string, number> {
  return new Map(
    knowledge.source.passages.map((passage) => {
      const words = knowledge.sentences.get(passage.id)?.reduce((sum, sentence) => sum + sentence.words, 0) ?? passage.text.split(/\s+/).length / 3;
      return [passage.id, passage.kind === 'footnote' || passage.kind === 'caption' ? 0 : Math.ceil(words)];
    }),
  );
}

const WORTH: Record<string, number> = { rule: 3, definition: 3, step: 3, warning: 3, figure: 2, comparison: 2, tip: 2, reason: 1.5, example: 1.5, role: 1.5 };

/** What the course is about above all is worth this much more, a passage. */
const FOCUS = 100;

/** The worth of a source's passages by their claims and what the author put in focus. */
export function passageWeights(knowledge: Knowledge): Map<string, number> {
  const weights = new Map<string, number>([...(knowledge.focus ?? [])].map((id) => [id, FOCUS]));
  for (const claim of knowledge.claims) {
    for (const range of claim.ranges) weights.set(range.id, (weights.get(range.id) ?? 0) + WORTH[claim.kind] / claim.ranges.length);
  }
  return weights;
}
