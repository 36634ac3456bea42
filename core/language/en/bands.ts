import type { Band, Quantity } from '../pack';
import { anyOf } from '../phrases';
import { quantitiesOf } from './quantities';

const BELOW = new RegExp(
  `^${anyOf`up to | under | below | less than | fewer than | at most | no more than | not more than`}\\b`,
  'i',
);
const ABOVE = new RegExp(
  `^${anyOf`over | above | more than | longer than | later than | from | at least`}\\b|\\b${anyOf`and more | or more | and over | and above`}$`,
  'i',
);

const BELOW_BEHIND = new RegExp(`^${anyOf`or below | and below | or less | or fewer | or under`}$`, 'i');

/** Numbers that stand for themselves, as counts of what a header names. */
const countsIn = (text: string): Quantity[] =>
  [
    ...text.matchAll(
      /(?<![\p{L}\d,.])\d{1,3}(?:,\d{3})+(?![\p{L}\d,.%])|(?<![\p{L}\d,.])\d+(?:\.\d+)?(?![\p{L}\d,.%])/gu,
    ),
  ].map(({ index, 0: digits }) => ({
    value: Number(digits.replaceAll(',', '')),
    unit: '',
    dimension: '',
    number: { from: index, to: index + digits.length },
    worded: false,
    from: index,
    to: index + digits.length,
  }));

/**
 * A stretch of figures of one unit that is all a text says: "Up to £50", "£51 to £250", "Above £2,000", "200 or below".
 * Undefined where it says more.
 */
export function bandOf(text: string): Band | undefined {
  const bare = text.trim().replace(/[.;:]$/, '');
  const measured = quantitiesOf(bare);
  const found = measured.length > 0 ? measured : countsIn(bare);
  const [first, second] = found;
  if (!first || found.length > 2) return undefined;
  const [before, behind] = [bare.slice(0, first.from).trim(), bare.slice((second ?? first).to).trim()];
  if (second) {
    // "£51 to £250", "From 3 to 5 days", "8–10 hours".
    const isJoined = /^\s*(?:to|and|until|–|-)\s*$/.test(bare.slice(first.to, second.from));
    const isWhole = /^(?:from|between)?$/i.test(before) && behind === '';
    return isJoined && isWhole && first.unit === second.unit && first.value < second.value
      ? { from: first.value, to: second.value, like: { ...first, text: bare.slice(first.from, first.to) } }
      : undefined;
  }
  const range = /^(\d[\d,.]*)\s*(?:to|–|-)\s*$/i.exec(before);
  const low = range && Number(range[1].replaceAll(',', ''));
  if (low !== null && behind === '' && low < first.value)
    return { from: low, to: first.value, like: { ...first, text: bare.slice(first.from, first.to) } };
  if (before === '' && BELOW_BEHIND.test(behind))
    return { from: 0, to: first.value, like: { ...first, text: bare.slice(first.from, first.to) } };
  if (BELOW.test(bare) && before.split(' ').length <= 3 && behind === '')
    return { from: 0, to: first.value, like: { ...first, text: bare.slice(first.from, first.to) } };
  const isAbove = ABOVE.test(bare) && before.split(' ').length <= 2 && behind.split(' ').length <= 2;
  return isAbove ? { from: first.value, like: { ...first, text: bare.slice(first.from, first.to) } } : undefined;
}
