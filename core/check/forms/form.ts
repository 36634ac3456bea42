import type { Block } from '../../blocks/forms';
import type { AskingForm, Level } from '../../checks/check';
import type { Quote } from '../../checks/forms';
import type { PassageRange } from '../../document/rich-text';
import type { Claim } from '../../knowledge';
import type { LanguagePack } from '../../language/pack';
import { contained, overlap } from '../../language/similarity';
import type { QuestionPool } from '../pool';
import { anyOf } from '../../language/phrases';

/** What a question is about: something that is said, and where. A claim is one. */
export interface Said {
  id: string;
  ranges: PassageRange[];
  text: string;
}

/** A wrong answer, and what is said to it. */
export interface Wrong {
  text: string;
  value?: number;
  code: 'other-case' | 'other-term' | 'other-figure' | 'not-said';
  quotes: Quote[];
}

/** So many wrong answers are shown; what fits besides can be taken in place of one. */
export const WRONG_SHOWN = 3;
/** So many are looked for, with those that are not shown. */
export const WRONG_SOUGHT = 8;

/** What can be answered to a question, by the kind of check it becomes. */
export type Asks =
  /**
   * `wrong`: the fittest first, of which `WRONG_SHOWN` are shown. `value`: the right answer is a figure; options are
   * ordered by size instead of by chance.
   */
  | { kind: 'choice'; right: string; value?: number; wrong: Wrong[] }
  | { kind: 'truth'; holds: boolean }
  | { kind: 'order'; items: string[] }
  | { kind: 'match'; pairs: { left: string; right: string }[] }
  | { kind: 'sort'; groups: { text: string; items: string[] }[] }
  | { kind: 'number'; value: number; unit: string; wrong: Wrong[] }
  | { kind: 'short'; accepted: string[] }
  | { kind: 'open'; model: string }
  /** `levels`: what a criterion can be, the best first. */
  | {
      kind: 'task';
      setting: string;
      criteria: { text: string; quotes: Quote[] }[];
      levels: readonly string[];
      model: string;
    }
  /** One decision after another: what is right goes on to the next, what is wrong is decided again. */
  | { kind: 'scenario'; role: string; turns: Turn[] };

/** A moment of a drafted story. */
export interface Turn {
  text: string;
  right: Deed;
  wrong: Deed[];
}

/** What can be done in it, what follows, and what the sources say to it. */
export interface Deed {
  text: string;
  follows: string;
  quotes: Quote[];
}

/** A question before it has ids: what one form of question makes of something said. */
export interface Candidate {
  form: AskingForm;
  about: Said;
  stem: string;
  /** How it is answered, and what is right. */
  asks: Asks;
  /** What the source says to the right answer, where that is more than what it is about. */
  quotes?: Quote[];
  level: Level;
  difficulty: number;
  /** 0 to 1: how sure we are that it is a good question. */
  score: number;
  reasons: string[];
}

/**
 * What questions are made out of: the lesson with its page and its claims, and the claims of the whole course to take
 * wrong answers from.
 */
export interface QuestionMatter {
  pack: LanguagePack;
  /** What the lesson is called, and the parts of its page. */
  title: string;
  blocks: readonly Block[];
  lesson: readonly Claim[];
  course: QuestionPool;
  /** For whom the course is, as its brief says it. */
  who?: string;
  /** More is asked for than a draft has: a form gives all it has. */
  generous?: boolean;
}

/** One way to ask: the questions it makes of a lesson's matter. */
export type QuestionForm = (matter: QuestionMatter) => Candidate[];

/** Of one form so many claims of a lesson are asked about at most: nobody looks through more offers. */
const MOST = 16;

/** A form that asks about claims one by one: `asks` tells its kind of claim, `ask` makes the question if it is good. */
export const ofClaims =
  (
    asks: (claim: Claim) => boolean,
    ask: (claim: Claim, matter: QuestionMatter) => Candidate | undefined,
  ): QuestionForm =>
  (matter) =>
    spreadOver(matter.lesson.filter(asks), MOST).flatMap((claim) => ask(claim, matter) ?? []);

/** So many of a list at most, taken evenly from its beginning to its end. */
export function spreadOver<Item>(list: readonly Item[], most: number): Item[] {
  return list.length <= most
    ? [...list]
    : Array.from({ length: most }, (_, at) => list[Math.floor((at * list.length) / most)]);
}

/** Tones of a part that tell of one case: its figures and deeds are of that case, and no rule. */
const TOLD = new Set(['case', 'experience', 'example']);

/** Whether a part of a page tells a story, an example, or what somebody else said. */
export const isTold = (block: Block): boolean =>
  block.kind === 'worked' || block.kind === 'quote' || (block.kind === 'callout' && TOLD.has(block.body.tone));

/** The wrong answers that are shown, of all that would fit. */
export const shownOf = <Item>(wrong: readonly Item[]): Item[] => wrong.slice(0, WRONG_SHOWN);

/** The words that something stands on, as a quote. */
export function quoteOf({ text, ranges }: Said): Quote {
  return { text, ...(ranges.length === 1 && { passage: ranges[0] }) };
}

/** Only the right answer takes up words of what is asked about: a name or path, or two words and more. */
export function givenAway(right: string, asked: string, wrong: readonly string[], { stems }: LanguagePack): boolean {
  const names = (text: string) => new Set(text.match(/\S*[\p{L}\d][/_.][\p{L}\d]\S*|\S*\/\S+/gu) ?? []);
  const inAsked = names(asked);
  if ([...names(right)].some((name) => inAsked.has(name))) return true;
  const known = new Set(stems(asked));
  const shared = (text: string) => new Set(stems(text.replace(/_+/g, ' ')).filter((stem) => known.has(stem))).size;
  const most = Math.max(...wrong.map(shared));
  return shared(right) - most >= 2 || (shared(right) > most && stems(right).length <= 3);
}

/** Whether two answers say so much alike that both could be right. */
export function alike(a: string, b: string, { stems }: LanguagePack): boolean {
  const [own, other] = [new Set(stems(a)), new Set(stems(b))];
  return overlap(own, other) > 0.4 || contained(own, other) >= 0.6 || contained(other, own) >= 0.6;
}

const BEFORE_THAT = anyOf`
  do | find | found | make | makes | if | when | case | after | before | with | of | for | to | like | than
`;
const AFTER_THAT = anyOf`
  the | an? | you | your | it | they | there | no | all | any | every | each | some
  [\p{L}-]+s?\s+(?:is|are|was|were|has|have|had|can|will|must|should|does|do)
`;
const POINTS_BY_THAT = new RegExp(String.raw`\b${BEFORE_THAT}\s+that\b(?!\s+${AFTER_THAT}\b)`, 'iu');
const POINTING_WORDS = anyOf`
  this | these | those | such | the (?:above|following|former|latter|same) | above | below | aforementioned | here
  there(?! (?:is|are|was|were|has|have|will|may|must|should|can)\b) | they | them | their | he | she | his | her
  it | its | do so | doing so | then | otherwise | as follows | see | section | chapter | appendix
`;
const POINTS = new RegExp(String.raw`\b${POINTING_WORDS}\b`, 'i');

/** Something outside the sentence that a reader of the question alone could not know. */
export function pointsOut(text: string): boolean {
  return POINTS_BY_THAT.test(text) || POINTS.test(text);
}

/** Upper-cases the first letter of an option. */
export function asOption(text: string): string {
  const bare = text.trim().replace(/[\s.;:,]+$/, '');
  return bare.charAt(0).toUpperCase() + bare.slice(1);
}

/**
 * An order to the reader that holds without a condition and is understood alone: a whole, short verb phrase without
 * reason, exception or anything that points outside.
 */
export function isPlainOrder({ kind, rule, leaning }: Claim): boolean {
  if (!rule || (kind !== 'rule' && kind !== 'warning' && kind !== 'step')) return false;
  if (rule.condition || rule.exception || rule.deadline || (leaning && leaning !== 'points-within')) return false;
  if (rule.subject !== undefined && !/^you$/i.test(rule.subject)) return false;
  const words = rule.action.split(/\s+/).length;
  return (
    words >= 3 &&
    words <= 18 &&
    /^[a-z]/i.test(rule.action) &&
    !pointsOut(rule.action) &&
    !/\b(?:because|so that|since|unless|except|if|when|until|before|after|first|that is)\b|[;:`{}<>|]|https?:/i.test(
      rule.action,
    ) &&
    !/\b(?:to|of|for|and|or|the|an?|with|in|on|at|by|as)$/i.test(rule.action)
  );
}

/**
 * Whether the opposite of what is said is said by turning its first words alone: not where "anything" would have to
 * become "something", a second order goes the other way, or the reason is part of what is forbidden.
 */
export const turnsAlone = ({ rule, text }: Claim): boolean =>
  !/\b(?:any\w*|either|ever|at all|never|not|nor)\b|n['’]t\b/i.test(rule!.action) && !/\bbecause\b/i.test(text);
