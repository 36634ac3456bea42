import { list, object, oneOf, string } from '../document/shape';
import type { Problem } from '../document/problem';
import { idShape, pictureShape, quoteShape, type CheckPicture, type Quote } from './check';
import type { Feedback } from './marking';

/**
 * What is said to an answer: that it is right, or why it is not: the rule is for another case, the term means something
 * else, the figure is another's, the source does not say so, or what the author says.
 */
export const SAID_CODES = ['right', 'other-case', 'other-term', 'other-figure', 'not-said', 'own'] as const;

/** One of the answers that can be chosen, with what is said to it. */
export interface Option {
  id: string;
  text: string;
  /** Shown beside its words. */
  picture?: CheckPicture;
  feedback: {
    code: (typeof SAID_CODES)[number];
    /** What the source says to it. */
    quotes: Quote[];
    /** The author's own words, instead of the standard ones. */
    text?: string;
  };
}

export const feedbackShape = object({ code: oneOf(...SAID_CODES), quotes: list(quoteShape) }, { text: string() });
export const optionShape = object(
  { id: idShape, text: string({ min: 1 }), feedback: feedbackShape },
  { picture: pictureShape },
);

/** Whether ids are there twice, and whether those that are named as right are among them. */
export function keyProblems(ids: readonly string[], keys: readonly string[]): Problem['code'][] {
  return [
    ...(keys.length > 0 && keys.every((key) => ids.includes(key)) ? [] : ['no-key']),
    ...(new Set(ids).size < ids.length || new Set(keys).size < keys.length ? ['id-twice'] : []),
  ];
}

/** Options with each of their author's words put through a function; what sources say stays. */
export function rewordedOptions<Each extends Option>(
  options: readonly Each[],
  change: (words: string) => string,
): Each[] {
  return options.map((option) => ({
    ...option,
    text: change(option.text),
    ...(option.picture?.alt && { picture: { ...option.picture, alt: change(option.picture.alt) } }),
    feedback: { ...option.feedback, ...(option.feedback.text && { text: change(option.feedback.text) }) },
  }));
}

/** What is said to an answer, as a learner gets it. */
export const toldOf = ({ code, quotes, text }: Option['feedback']): Feedback => ({
  code,
  quotes: quotes.map((quote) => quote.text),
  ...(text && { text }),
});

/** Ids in an order of their own. */
export const byLetters = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** In an order that says nothing of what is right: by ids that tell nothing. */
export const mixed = <Item extends { id: string }>(items: readonly Item[]): Item[] =>
  [...items].sort((a, b) => byLetters(a.id, b.id));

/** A line of an author's view of a check, marked where it is right. */
export const line = (right: boolean, text: string): string => `${right ? '\u2713' : '\u2013'} ${text}`;

/** An answer as a learner sees it. */
export interface SeenOption {
  id: string;
  text: string;
  picture?: CheckPicture;
}
export const seenOption = ({ id, text, picture }: Option, mix: (id: string) => string): SeenOption => ({
  id: mix(id),
  text,
  ...(picture && { picture }),
});
