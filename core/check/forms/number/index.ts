import { shortHash } from '../../../document/id';
import type { Claim } from '../../../knowledge';
import { ofClaims, type Candidate, type QuestionForm, type QuestionMatter } from '../form';
import { anyOf } from '../../../language/phrases';
import { wrongFigures } from './figures';

const ROUGHLY = anyOf`
  about | around | roughly | approximately | nearly | almost | last (?:year|month|week|quarter) | on average
  typically | usually | for example | for instance | e\.g\. | such as | version | released | since \d
  in (?:19|20)\d\d | one in | once in | most of | tens of | hundreds of
`;
const NOT_A_LIMIT = new RegExp(String.raw`\b${ROUGHLY}\b`, 'i');
const BOUNDING = anyOf`
  at least | at most | up to | no more than | not more than | no less than | no later than | within | less than
  more than | fewer than | [a-z]{3,}er than | maximum | minimum | limit | must | should | may | exceed
  only | every | for | after | above | below | under | over | until
`;
const LIMITING = new RegExp(String.raw`\b${BOUNDING}\b`, 'i');

/**
 * "Which figure belongs in the gap?": limits, deadlines and amounts. Wrong figures are others of the same unit in the
 * sources, then multiples.
 */
export const numberQuestions: QuestionForm = ofClaims(
  ({ kind, quantity, leaning }) => kind === 'figure' && quantity !== undefined && !leaning,
  ask,
);

function ask(claim: Claim, { course, pack, lesson }: QuestionMatter): Candidate | undefined {
  const { text } = claim;
  const quantity = claim.quantity!;
  if (!pack.questions) return undefined;
  const words = text.split(/\s+/).length;
  const rest = text.slice(0, quantity.from) + text.slice(quantity.to);
  if (
    words < 7 ||
    words > 34 ||
    NOT_A_LIMIT.test(text) ||
    !(isOrder(claim, lesson) || LIMITING.test(text.slice(Math.max(0, quantity.from - 30), quantity.from))) ||
    /[`{}<>|]|https?:/.test(text) ||
    /^(?:other|another|some other|the other|in that|only then)\b/i.test(text)
  )
    return undefined;
  if (rest.toLowerCase().includes(quantity.text.toLowerCase())) return undefined;
  // "100 x 150 mm": a measure of a thing is no limit.
  if (/[x×]\s*$/i.test(text.slice(0, quantity.from)) || /^\s*[x×]\s*\d/i.test(text.slice(quantity.to)))
    return undefined;
  if (quantity.value <= 0 || quantity.value === 1 || /^one\b/i.test(quantity.text)) return undefined;
  // Another passage that says nearly the same with another figure: then neither is sure to be right.
  if (course.isContradicted(claim)) return undefined;
  const inSentence = new Set((rest.match(/\d[\d,.]*/g) ?? []).map((number) => Number(number.replace(/,/g, ''))));
  const wrong = wrongFigures(quantity.value, course.values(quantity.unit), claim.id, quantity.text)
    // A share of more than the whole gives itself away.
    .filter((value) => !inSentence.has(value) && !(quantity.unit === 'percent' && value > 100))
    .map((value) => ({ value, text: pack.written?.(quantity, value) ?? '' }))
    // "three people", but not "one people": one whose noun stays as it is for many is left out.
    .filter(({ value, text }) => value !== 1 || nounOf(text) !== nounOf(quantity.text))
    .filter((option) => option.text !== quantity.text && !rest.toLowerCase().includes(option.text.toLowerCase()));
  // Typed in, no wrong figure can give the right one away; every third is asked so, and where there are too few.
  const unit = unitOf(quantity);
  const typed = unit !== undefined && (wrong.length < 3 || shortHash(claim.id, 6).charCodeAt(5) % 3 === 0);
  if (wrong.length < 3 && !typed) return undefined;
  const figures = wrong.map((each) => ({ ...each, code: 'other-figure' as const, quotes: [] }));
  const stem = pack.questions.whichFigure(
    `${text.slice(0, quantity.from)}_____${text.slice(quantity.to)}`.replace(/\s+/g, ' '),
  );
  const modal = /\b(?:must|should|may not|at least|at most|up to|no later than|within|no more than)\b/i.test(text);
  return {
    form: 'number',
    about: claim,
    stem,
    asks: typed
      ? { kind: 'number', value: quantity.value, unit, wrong: figures }
      : { kind: 'choice', right: quantity.text, value: quantity.value, wrong: figures },
    level: 'recall',
    difficulty: 0.35,
    score: 0.72 + (modal ? 0.1 : 0) - (words > 28 ? 0.05 : 0),
    reasons: [modal ? 'limit' : 'amount', ...(typed ? ['typed'] : [])],
  };
}

/** Whether the sentence of a figure tells the reader what to do: what it says how much of is to be kept to. */
const isOrder = ({ ranges: [own] }: Claim, lesson: readonly Claim[]): boolean =>
  lesson.some(
    ({ kind, rule, ranges: [other] }) =>
      (kind === 'rule' || kind === 'step') &&
      other.id === own.id &&
      other.from === own.from &&
      rule?.strength === 'must' &&
      rule.subject === undefined,
  );

const nounOf = (written: string): string => written.replace(/^\S+\s*/, '');

/** What stands behind or before a figure that is to be typed; undefined where the figure cannot be taken out. */
function unitOf({ text, value }: NonNullable<Claim['quantity']>): string | undefined {
  const [, before, figure, behind] = /^([£$€]?)\s?(\d[\d,.]*)\s?(.*)$/.exec(text) ?? [];
  if (figure === undefined || Number(figure.replaceAll(',', '')) !== value) return undefined;
  return (before + behind).trim();
}
