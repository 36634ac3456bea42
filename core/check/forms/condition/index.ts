import type { Claim } from '../../../knowledge';
import { contained, overlap } from '../../../language/similarity';
import type { Told } from '../../pool';
import {
  asOption,
  givenAway,
  ofClaims,
  pointsOut,
  quoteOf,
  shownOf,
  WRONG_SOUGHT,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';
import { anyOf } from '../../../language/phrases';

/** Of a lesson so many are answered in one's own words: nobody writes all the time. */
const MOST_WRITTEN = 1;
/** So many of the fittest are tried as wrong answers. */
const TRIED = 40;

const CONDITION_WORDS = new Set(['if', 'when', 'whenever', 'unless', 'once', 'as soon as', 'in case']);

/**
 * "If this happens, what must you do?": rules with a condition for somebody who acts. Wrong answers are what other
 * rules ask for under other conditions, alike in polarity, strength and length.
 */
export const conditionQuestions: QuestionForm = (matter) => {
  const all = ofClaims(
    ({ kind, rule }) =>
      kind === 'rule' &&
      rule?.condition !== undefined &&
      (rule.person || actsItself(rule)) &&
      CONDITION_WORDS.has(rule.condition.word),
    ask,
  )(matter);
  const chosen = all.filter(({ asks }) => asks.kind !== 'open');
  return [
    ...chosen,
    ...all.filter(({ asks }) => asks.kind === 'open').slice(0, matter.generous ? Infinity : MOST_WRITTEN),
  ];
};

/** Something other than a person that does what is asked of it ("the package must behave as if …"). */
const actsItself = ({ subject, modal }: NonNullable<Claim['rule']>): boolean =>
  subject !== undefined &&
  /^(?:must|should|shall)$/i.test(modal ?? '') &&
  !pointsOut(subject) &&
  /^\p{L}/u.test(subject);

function ask(claim: Claim, matter: QuestionMatter): Candidate | undefined {
  const { pack } = matter;
  const rule = claim.rule!;
  const condition = rule.condition!;
  const words = (text: string) => text.split(/\s+/).length;
  const bareCondition = situation(claim);
  if (
    words(condition.text) < 4 ||
    words(condition.text) > 22 ||
    pointsOut(bareCondition) ||
    !askable(claim) ||
    !isSpecific(bareCondition, pack)
  )
    return undefined;
  if (isAbility(claim) || !isComplete(claim)) return undefined;
  if (claim.leaning && claim.leaning !== 'points-within' && claim.leaning !== 'too-long') return undefined;
  // A pronoun in the answer is fine when the condition names what it stands for.
  if (
    /\b(?:this|these|those|such|here|there)\b/i.test(rule.action) ||
    (/\b(?:they|them|their|it|its)\b/i.test(rule.action) && !/\b(?:an?|the|your|any|no)\s+\p{L}/iu.test(condition.text))
  )
    return undefined;
  const { words: keyStems, action, condition: conditionStems } = matter.course.told(claim);
  if (keyStems.length < 2 || contained(action, conditionStems) > 0.55) return undefined;
  const stem = pack.questions?.afterCondition(condition.text, rule.subject, rule.strength, rule.negative, !rule.modal);
  if (!stem) return undefined;
  const wrong = otherCases(claim, matter);
  const frame = { form: 'condition' as const, about: claim, stem, level: 'decide' as const };
  const shown = shownOf(wrong);
  const isGiven = givenAway(
    rule.action,
    condition.text,
    shown.map((other) => other.rule!.action),
    pack,
  );
  // Without wrong answers that could tempt, learners say what they would do and hold it against the source.
  if (wrong.length < 2 || isGiven) {
    if (rule.negative || condition.word === 'unless') return undefined;
    return {
      ...frame,
      asks: { kind: 'open', model: asOption(rule.action) },
      difficulty: 0.3,
      score: 0.73,
      reasons: ['written'],
    };
  }
  const reasons = [`wrong-answers:${shown.length}`];
  let score = 0.75 + (wrong.length >= 3 ? 0.08 : -0.04);
  if (condition.leading) score += 0.04;
  if (keyStems.length >= 4) score += 0.04;
  if (rule.negative || rule.strength === 'may') {
    score -= 0.06;
    reasons.push('weaker-form');
  }
  if (/\b(?:they|them|their|it|its)\b/i.test(rule.action)) score -= 0.05;
  if (rule.subject && !/^you$/i.test(rule.subject)) score -= 0.02;
  return {
    ...frame,
    asks: {
      kind: 'choice',
      right: asOption(rule.action),
      wrong: wrong.map((other) => ({
        text: asOption(other.rule!.action),
        code: 'other-case',
        quotes: [quoteOf(other)],
      })),
    },
    difficulty: wrong.length >= 3 ? 0.4 : 0.3,
    score: Math.min(1, score),
    reasons,
  };
}

/**
 * The situation is told in full. A trailing condition of two parts may be cut wrongly; "the" something inside a
 * paragraph was named before it; wishing to be good, or being unsure, is no situation.
 */
function isComplete(claim: Claim): boolean {
  const { condition } = claim.rule!;
  const told = situation(claim);
  // "when there is more than £400 in the safe, in daylight": what comes after a comma is of the order.
  if (!condition!.leading && /\b(?:and|or)\b|,/i.test(told)) return false;
  if (/^you(?:'d| would)? (?:want|like|wish|decide|need) to be\b|\blater$/i.test(told)) return false;
  return (
    claim.ranges[0].from === 0 ||
    !/^(?:the|both|either|neither)\s+(?!\S+(?:\s+\S+)?\s+(?:of|that|who|which)\b)/i.test(told)
  );
}

const NOT_ASKED_FOR = anyOf`
  be | been | have | had | not | feel | know | want | wish | need | expect | like | see | note
  follow (?:these|the|this) | try | also | do take | refer | read | just | now | first | optionally | usually
  already | remember that | bear | get | see | find | notice | hesitate | forget | obtain | receive | end up
`;
const NO_STEP = new RegExp(String.raw`^(?:already )?${NOT_ASKED_FOR}\b`, 'i');
/** "Therefore avoid …", "normally be set": how something is done stands before what is done. */
const ADVERB_FIRST = /^(?:\p{L}+ly|therefore|thus|hence|still)\s/iu;
/** Cut off behind a comma: "…, particularly". */
const CUT_OFF = /,\s*\p{L}+$/u;

/** An action that can be an answer: a whole, short verb phrase, of doing rather than being. */
export function askable({ rule, text }: Claim): boolean {
  const { action } = rule!;
  const count = action.split(/\s+/).length;
  const behind = text.slice(text.indexOf(action) + action.length).trimStart();
  return (
    count >= 3 &&
    count <= 24 &&
    /^[a-z]/i.test(action) &&
    !behind.startsWith(':') &&
    !NO_STEP.test(action) &&
    !ADVERB_FIRST.test(action) &&
    !CUT_OFF.test(action) &&
    !/[:`{}<>=|$[\]]|\b(?:as follows|the following|above|below|section|chapter|follow these)\b|https?:/i.test(action) &&
    !/\b(?:that|which|to|of|for|and|or|the|an?|with|in|on|at|by|as|so|determine|if|when)$/i.test(action)
  );
}

/** A condition that can be understood alone: not about "the" something that only the text before it makes known. */
function isSpecific(condition: string, pack: QuestionMatter['pack']): boolean {
  if (
    /\b(?:however|both|either|neither|different choices|more information|any questions?|unsure|interested)\b|https?:|[[\]{}<>`]/i.test(
      condition,
    )
  )
    return false;
  if (pack.comparesWithNothing?.(condition)) return false;
  const stems = pack.stems(condition).length;
  return (
    stems >= 4 ||
    (stems >= 2 && /\b(?:an?|any|no|your|you|someone|somebody|one|two|all)\b/i.test(condition)) ||
    (stems >= 3 && !/^(?:the|its|their)\b/i.test(condition))
  );
}

/** A rule's condition without its first word. */
export function situation({ rule }: Claim): string {
  return rule!.condition!.text.replace(/^(?:only if|as soon as|in case|provided that|\S+)\s+/i, '');
}

/** "can" says what is possible, not what is allowed. */
export function isAbility({ rule }: Claim): boolean {
  return rule?.strength === 'may' && !/^(?:may|is|are)\b/i.test(rule.modal ?? '');
}

export function tooAlike(a: Pick<Told, 'words' | 'action'>, b: Pick<Told, 'words' | 'action'>): boolean {
  const shared = b.words.filter((stem) => a.action.has(stem)).length;
  return (
    overlap(a.action, b.action) > 0.4 ||
    contained(a.action, b.action) >= 0.5 ||
    contained(b.action, a.action) >= 0.5 ||
    (shared >= 2 && shared >= Math.min(a.words.length, b.words.length) / 3)
  );
}

/**
 * 0 to 1, settled by two ids: so that near and fitting rules take turns as wrong answers. The letters of an id come of
 * a hash already, so they are as good as thrown dice.
 */
function chance(a: string, b: string): number {
  return ((a.charCodeAt(4) ^ b.charCodeAt(6)) & 15) / 15;
}

/** What is asked of a rule again and again while others look for wrong answers. */
const seen = new WeakMap<Claim, { canBeWrong: boolean; aboutPerson: boolean }>();

function seenOnce(claim: Claim, pack: QuestionMatter['pack']): { canBeWrong: boolean; aboutPerson: boolean } {
  const known = seen.get(claim);
  if (known) return known;
  const found = {
    canBeWrong: askable(claim) && !isAbility(claim) && !pointsOut(claim.rule!.action),
    aboutPerson: pack.aboutPerson?.(situation(claim)) ?? false,
  };
  seen.set(claim, found);
  return found;
}

/** Asks the reader, not a third person. */
export function isReader(claim: Claim): boolean {
  return claim.rule?.subject === undefined || /^you$/i.test(claim.rule.subject);
}

export function otherCases(claim: Claim, { course, pack }: QuestionMatter): Claim[] {
  const rule = claim.rule!;
  const own = course.told(claim);
  const length = rule.action.length;
  const near = course
    .rulesNear(claim)
    .filter((other) => other !== claim && other.rule!.negative === rule.negative)
    .filter(
      (other) =>
        other.ranges[0].id !== claim.ranges[0].id && (rule.strength === 'may') === (other.rule!.strength === 'may'),
    )
    .filter(
      (other) =>
        other.rule!.action.length < length * 2.2 + 12 &&
        other.rule!.action.length > length * 0.4 - 8 &&
        seenOnce(other, pack).canBeWrong,
    )
    // Two conditions about somebody may be one: who becomes loud may also be shouting.
    .filter((other) => !(seenOnce(claim, pack).aboutPerson && seenOnce(other, pack).aboutPerson))
    .map((other) => {
      const topic = overlap(own.both, course.told(other).both);
      const gap = Math.abs(Math.log(other.rule!.action.length / length));
      return {
        other,
        fit:
          0.2 * chance(claim.id, other.id) +
          (isReader(other) === isReader(claim) ? 0.3 : 0) +
          Math.min(topic, 0.25) * 2 -
          gap * 0.3 +
          (other.sourceId === claim.sourceId ? 0.1 : 0),
      };
    })
    .sort((a, b) => b.fit - a.fit || (a.other.id < b.other.id ? -1 : 1));
  const taken: Claim[] = [];
  // What is dear to find out is asked of the fittest alone, until there are enough.
  for (const { other } of near.slice(0, TRIED)) {
    if (taken.length === WRONG_SOUGHT) break;
    const { action, condition, words } = course.told(other);
    if (
      overlap(condition, own.condition) >= 0.34 ||
      contained(own.condition, condition) >= 0.6 ||
      contained(action, own.condition) >= 0.75
    )
      continue;
    // Half of the words in common ("call the desk lead", "fetch the desk lead"), and both could be right.
    if (![own, ...taken.map(course.told)].some((each) => tooAlike(each, { action, words }))) taken.push(other);
  }
  return taken;
}
