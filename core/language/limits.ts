import { anyOf } from './phrases';

const LIMIT_WORDS = anyOf`
  at (?:least|most|the latest) | up to | (?:no|not) (?:more|less|fewer|longer|later|earlier) than
  (?:more|less|fewer|longer|shorter|earlier|later) than | exceeds? | maximum | minimum
  (?:never|not) (?:above|below|over|under) | above | below | within | only | limit(?:ed)? | mindestens | höchstens
  maximal | minimal | bis zu | mehr als | weniger als | länger als | innerhalb | binnen | spätestens | über
  unter | au (?:plus|moins|maximum|minimum) | jusqu['’]à | plus de | moins de | dans les | sous
  como (?:máximo|mínimo) | al menos | por lo menos | hasta | más de | menos de | dentro de
`;
/** Words that make a number a limit, in the languages we read. */
const LIMIT = new RegExp(String.raw`\b${LIMIT_WORDS}\b`, 'iu');

/**
 * Whether words set a limit by a number: "at most 110 bathers". `hasNumber`: one stands in them, in digits or words.
 */
export const setsLimit = (text: string, hasNumber: boolean): boolean => hasNumber && LIMIT.test(text);
