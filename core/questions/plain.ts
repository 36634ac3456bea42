import type { Check } from '../checks/forms';
import { checkFormOf } from '../checks/forms';
import { readNumber } from '../checks/number/reading';
import { feedbackFrom } from '../checks/qti';
import { framed, type Bringing, type LeftCode } from './given';

/** A question as people write it down, before it is known of which kind it is. */
export interface PlainQuestion {
  stem: string;
  options: { text: string; right: boolean; feedback?: string }[];
  /** What belongs to what. */
  pairs: [string, string][];
  /** What is said to be right: letters or numbers of options, or words. */
  answer?: string;
  feedback?: string;
  points?: number;
  /** What its writer calls the kind. */
  type?: string;
}

export const blankQuestion = (stem: string): PlainQuestion => ({ stem, options: [], pairs: [] });

/** Kinds by what people call them, in the languages of the desk's authors. */
const KINDS: [kind: Check['kind'], names: RegExp][] = [
  ['truth', /^(true|wahr|richtig|vrai|verdadero)/],
  ['several', /^(several|multiple (answers?|select|response)|mehrere|plusieurs|varias)/],
  ['order', /^(order|sequence|reihenfolge|ordre|orden)/],
  ['match', /^(match|pairs?|zuordn|paare|associ|empareja|relaciona)/],
  ['number', /^(number|numeric|zahl|nombre|n[uú]mero)/],
  ['short', /^(short|text|fill|kurz|r[eé]ponse courte|respuesta corta)/],
  ['open', /^(open|essay|free|long|offen|ouverte|abierta)/],
  ['choice', /^(choice|single|multiple choice|one|auswahl|choix|opci[oó]n)/],
];
const TRUE = /^(true|yes|t|right|wahr|richtig|ja|vrai|oui|verdadero|s[ií])$/i;
const FALSE = /^(false|no|f|wrong|falsch|nein|faux|non|falso)$/i;

/** A question as a check; or why it is none. `language` is that of figures. */
export function checkFrom(given: PlainQuestion, bringing: Bringing, language: string): Check | LeftCode {
  if (given.stem.trim() === '') return 'no-question';
  const fields = fieldsOf(withRight(given), bringing.id, language);
  if (typeof fields === 'string') return fields;
  const { points, feedback } = given;
  const check = {
    ...framed(bringing, given.stem),
    ...fields,
    ...(points !== undefined && points !== 1 && { points }),
    ...(feedback && fields.kind !== 'truth' && { said: { right: feedback, wrong: feedback } }),
  } as unknown as Check;
  const [problem] = checkFormOf(check).problems?.(check) ?? [];
  return problem ? 'no-key' : check;
}

type Fields = { kind: Check['kind'] } & Record<string, unknown>;

function fieldsOf(given: PlainQuestion, id: Bringing['id'], language: string): Fields | LeftCode {
  const { options, pairs, answer = '', feedback } = given;
  const named = given.type?.trim().toLowerCase() ?? '';
  const kind = KINDS.find(([, names]) => names.test(named))?.[0];
  if (named && !kind) return 'kind-unknown';
  if (pairs.length > 1) {
    const found = pairs.map(([left, right]) => ({ id: id('a'), left, right }));
    return { kind: 'match', pairs: found, others: [], credit: 'each', quotes: [] };
  }
  if (kind === 'order') {
    if (options.length < 2) return 'too-few-answers';
    return { kind, items: options.map(({ text }) => ({ id: id('a'), text })), credit: 'each', quotes: [] };
  }
  const truth = options.length === 0 || kind === 'truth' ? truthOf(given) : undefined;
  if (truth !== undefined) return { kind: 'truth', answer: truth, quotes: [], ...(feedback && { why: feedback }) };
  if (isOfTruth(options)) {
    const right = options.find((option) => option.right);
    if (!right) return 'no-key';
    return { kind: 'truth', answer: TRUE.test(right.text), quotes: [], ...(feedback && { why: feedback }) };
  }
  if (options.length > 0) {
    const found = chosen(given, kind, id);
    return found === 'no-key' && answer ? 'key-unknown' : found;
  }
  if (kind === 'open') return { kind, by: 'person', model: answer, looksFor: [], quotes: [] };
  if (!answer) return 'no-key';
  return typed(answer, kind, language);
}

function truthOf({ answer = '', options }: PlainQuestion): boolean | undefined {
  const said = answer || options.find(({ right }) => right)?.text || '';
  return TRUE.test(said.trim()) ? true : FALSE.test(said.trim()) ? false : undefined;
}

const isOfTruth = (options: PlainQuestion['options']): boolean =>
  options.length === 2 && options.some(({ text }) => TRUE.test(text)) && options.some(({ text }) => FALSE.test(text));

function chosen({ options }: PlainQuestion, kind: Check['kind'] | undefined, id: Bringing['id']): Fields | LeftCode {
  if (options.length < 2) return 'too-few-answers';
  const right = options.filter((option) => option.right);
  if (right.length === 0) return 'no-key';
  const made = options.map((option) => ({
    id: id('a'),
    text: option.text,
    feedback: feedbackFrom(option.right, option.feedback),
  }));
  const keys = made.filter((_, at) => options[at].right).map((each) => each.id);
  return keys.length > 1 || kind === 'several'
    ? { kind: 'several', options: made, keys, credit: 'each' }
    : { kind: 'choice', options: made, key: keys[0] };
}

/** Words that are typed: a figure with its unit, or what is accepted, one or several. */
function typed(answer: string, kind: Check['kind'] | undefined, language: string): Fields | LeftCode {
  const [, figure = '', unit = ''] = /^([-+\u2212]?[\d.,\u00a0\u202f' ]*\d)\s*(\S{0,12})$/u.exec(answer.trim()) ?? [];
  const value = kind === 'short' ? undefined : readNumber(figure, language);
  if (value !== undefined) return { kind: 'number', value, tolerance: 0, ...(unit && { unit }), known: [], quotes: [] };
  if (kind === 'number') return 'no-key';
  const accepted = answer
    .split(/\||;|\s\/\s/)
    .map((each) => each.trim())
    .filter(Boolean);
  return { kind: 'short', accepted, spelling: 'close', quotes: [] };
}

/** Options marked by what is said to be the answer: letters, numbers, or their words. */
function withRight(given: PlainQuestion): PlainQuestion {
  const { options, answer } = given;
  if (!answer || options.length === 0) return given;
  const plain = (text: string) => text.trim().toLowerCase().replace(/[.)]$/, '');
  const whole = options.findIndex(({ text }) => plain(text) === plain(answer));
  const parts = answer
    .split(/,|;|\||&|\+|\band\b|\bund\b|\bet\b|\by\b/i)
    .map(plain)
    .filter(Boolean);
  const placeOf = (part: string): number => {
    const words = options.findIndex(({ text }) => plain(text) === part);
    if (words >= 0) return words;
    if (/^[a-z]$/.test(part)) return part.charCodeAt(0) - 97;
    return /^\d+$/.test(part) ? Number(part) - 1 : -1;
  };
  const places = new Set(whole >= 0 ? [whole] : parts.map(placeOf));
  return { ...given, options: options.map((option, at) => ({ ...option, right: option.right || places.has(at) })) };
}
