import type { CheckFrame } from './check';
import type { LintWords } from './lint-words';

/**
 * Flaws of questions, by the guidelines for item writers of Haladyna, Downing and Rodriguez (2002): the right answer is
 * the longest; one that stands for all; two that say the same; a question turned round; turned round twice; the right
 * answer takes up words of the question; an article tells; too few, too many answers; nothing is said to a wrong one;
 * words of a new question left; no passage behind; wrong answers with "always"; two statements in one; several of which
 * all or one is right; steps that carry their numbers; a group without things; a measure without unit; too much to be
 * typed; nothing to compare with; no picture to answer in; of a story: a scene never come to, without an end,
 * without words, with one choice, with choices of one worth; a choice after which nothing is told, or that earns points
 * by going back; of a task: levels of one worth;
 * a story or a task in a quiz; a question asked twice; wrong answers without a measure;
 * asked before it is taught; always the same key; much harder to read than the pages of its course.
 */
export const FLAWS = [
  'longest',
  'all-of-these',
  'alike',
  'negative',
  'twice-negative',
  'given-away',
  'article',
  'few',
  'many',
  'silent',
  'unfinished',
  'no-evidence',
  'absolute',
  'two-in-one',
  'all-right',
  'one-right',
  'numbered',
  'empty-group',
  'no-unit',
  'too-long',
  'no-model',
  'no-picture',
  'not-reached',
  'no-end',
  'no-scene',
  'no-choice',
  'all-same-worth',
  'levels-same-worth',
  'nothing-follows',
  'earns-again',
  'in-quiz',
  'same-question',
  'vague',
  'not-taught',
  'pattern',
  'harder',
] as const;
export type FlawCode = (typeof FLAWS)[number];

/** What is wrong with a question, and the fields that mend it where that can be told. */
export interface Flaw {
  code: FlawCode;
  /** Id of the answer it is about. */
  at?: string;
  /** Of another check, where it is about two. */
  with?: string;
  mend?: Record<string, unknown>;
}

/** What the flaws of a kind are found with. */
export interface LintTools {
  words: LintWords | undefined;
  /** The words of a text that say something, in small letters. */
  telling(text: string): string[];
  /** Whether a text has one of some words in it; `begins`: at its start. */
  has(text: string, words: keyof LintWords, begins?: boolean): boolean;
  /** Whether a text turns itself round in its own clause, and whether it forbids. */
  negates(text: string): boolean;
}

/** The flaws of a kind of check that are its own. */
export type CheckLint<Kind extends CheckFrame> = (check: Kind, tools: LintTools) => Flaw[];

/** What the rules read a text with, in a language. */
export function lintTools(words: LintWords | undefined): LintTools {
  const light = new Set(words?.light);
  const patterns = new Map<string, RegExp>();
  const has: LintTools['has'] = (text, which, begins = false) => {
    const source = words?.[which];
    if (typeof source !== 'string') return false;
    const key = `${which} ${begins}`;
    const edge = begins ? '^\\W*' : '(?<![\\p{L}])';
    const pattern = patterns.get(key) ?? new RegExp(`${edge}(?:${source})(?![\\p{L}])`, 'iu');
    patterns.set(key, pattern);
    return pattern.test(text.replaceAll('’', "'"));
  };
  return {
    words,
    has,
    telling: (text) => (text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !light.has(word)),
    negates(text) {
      if (!words || has(text, 'forbidding')) return false;
      // What hangs on another clause tells a case: "If it can't be kept, what do you do?"
      const own = text.replace(/“[^”]*”|"[^"]*"|«[^»]*»|„[^“]*“/g, ' ');
      const clauses = own.split(/[,;:.]\s+/).filter((clause) => !has(clause, 'joining', true));
      const joining = new RegExp(`\\s(?:${words.joining})\\s.*$`, 'iu');
      return clauses.some(
        (clause) => has(clause.replace(joining, ''), 'negative') || /n['’]t\b/.test(clause.replace(joining, '')),
      );
    },
  };
}

/** Texts that say the same in the same words, by their places. */
export function sameTexts(texts: readonly string[], { telling }: LintTools): [number, number][] {
  const keys = texts.map(
    (text) => [...telling(text)].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)).join(' ') || text.trim().toLowerCase(),
  );
  return keys.flatMap((key, at) => {
    const first = keys.indexOf(key);
    return first < at ? [[first, at] as [number, number]] : [];
  });
}
