import { diffArrays } from 'diff';
import { roots } from './letters';

/** Words that others came in the place of, between two wordings of one text. */
export interface Swap {
  from: string[];
  to: string[];
}

/** A longer run was written anew, not exchanged. */
const LONGEST = 5;
/** Of two wordings with less of their words in common one is no rewording of the other. */
const IN_COMMON = 0.3;

const wordsIn = (text: string) => text.match(/[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu) ?? [];
const low = (word: string) => word.toLowerCase();

/** The runs of words that were exchanged for others; none where the whole was written anew. */
export function swapsBetween(before: string, after: string): Swap[] {
  const parts = diffArrays(wordsIn(before), wordsIn(after), { comparator: (a, b) => low(a) === low(b) });
  const count = (which: (part: (typeof parts)[number]) => boolean) =>
    parts.filter(which).reduce((sum, part) => sum + part.value.length, 0);
  const common = count((part) => !part.added && !part.removed);
  if (common < IN_COMMON * Math.max(common + count((part) => part.removed), common + count((part) => part.added)))
    return [];
  return parts.flatMap((part, at): Swap[] => {
    const next = parts[at + 1];
    if (!part.removed || !next?.added || part.value.length > LONGEST || next.value.length > LONGEST) return [];
    // Of short words alone ("and" for "or") nothing follows for other texts.
    if (roots(part.value.join(' ')).size === 0) return [];
    return [{ from: part.value, to: next.value }];
  });
}

/**
 * A text with the same words exchanged, where it has them; undefined where it has none. The plural follows what stood
 * there ("a volunteer" for "volunteers"), and so do a capital at the beginning and the English article.
 */
export function swapped(text: string, swaps: readonly Swap[]): string | undefined {
  let now = text;
  for (const { from, to } of swaps) {
    const head = from.slice(0, -1).map(escaped);
    const [one, many] = numbers(from.at(-1)!);
    const run = [...head, `(?:${escaped(one)}|${escaped(many)})`].join(String.raw`[\s-]+`);
    now = now.replace(
      new RegExp(String.raw`(?<![\p{L}\p{N}])(?:(an?)(\s+))?(${run})(?![\p{L}\p{N}])`, 'giu'),
      (_, article: string | undefined, gap: string | undefined, found: string) => {
        const [single, plural] = numbers(to.at(-1)!);
        const isSame = low(found).endsWith(low(from.at(-1)!));
        const last = isSame ? to.at(-1)! : low(found).endsWith(low(many)) ? plural : single;
        const words = [...to.slice(0, -1), last].join(' ');
        const cased = /^\p{Lu}/u.test(found) ? upper(words) : isName(to[0], swaps) ? words : lower(words);
        return article ? `${articleFor(article, cased)}${gap}${cased}` : cased;
      },
    );
  }
  return now === text ? undefined : now;
}

const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
const escaped = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);

/** A word with capitals inside, or of a run that has more of them, is a name and keeps its own. */
const isName = (word: string, swaps: readonly Swap[]) =>
  /.\p{Lu}/u.test(word) || swaps.some(({ to }) => to.length > 1 && to[0] === word && /^\p{Lu}/u.test(to[1]));

/** One and several of it, where the plural is only an "s" more, or "ies" for "y". */
function numbers(word: string): [string, string] {
  if (/\d$/.test(word)) return [word, word];
  if (/..ies$/i.test(word)) return [`${word.slice(0, -3)}y`, word];
  if (/[^s]s$/i.test(word)) return [word.slice(0, -1), word];
  return [word, /s$/i.test(word) ? word : /[^aeiou]y$/i.test(word) ? `${word.slice(0, -1)}ies` : `${word}s`];
}

function articleFor(was: string, next: string): string {
  const right = /^[aeiou]/i.test(next) ? 'an' : 'a';
  return /^A/.test(was) ? upper(right) : right;
}
