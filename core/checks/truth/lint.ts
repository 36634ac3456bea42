import type { CheckLint, Flaw } from '../lint';
import type { TruthCheck } from './form';

export const truth: CheckLint<TruthCheck> = ({ stem, quotes, why, said }, { has, negates, words }) => {
  const flaws: Flaw[] = [];
  if (quotes.length === 0 && !why && !said) flaws.push({ code: 'silent' });
  if (!words) return flaws;
  const again = new RegExp(`(?<!\\p{L})(?:${words.negative})(?!\\p{L})`, 'giu');
  if ((stem.match(again)?.length ?? 0) > 1) flaws.push({ code: 'twice-negative' });
  else if (negates(stem)) flaws.push({ code: 'negative' });
  // "The key is kept in the safe, and the deposit is paid at noon": each half is a statement of its own.
  const halves = stem.split(new RegExp(`,?\\s(?:${words.and})\\s`, 'iu'));
  if (halves.length > 1 && halves.every((half) => has(half, 'finite'))) flaws.push({ code: 'two-in-one' });
  return flaws;
};
