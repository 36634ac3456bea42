import { distance } from 'fastest-levenshtein';
import type { CheckMarking } from '../marking';
import { putText, takeText } from '../packing';
import { LONGEST_SHORT, type ShortCheck } from './form';

export interface ShortSecret {
  accepted: string[];
  spelling: ShortCheck['spelling'];
  quotes: string[];
}

/** One slip is forgiven in words of so many letters, and another for each further so many. */
const LETTERS_A_SLIP = 5;

/** Without case, marks of punctuation at the ends, and doubled spaces. */
const bare = (text: string): string =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[’‘]/g, "'")
    .replace(/\s+/g, ' ')
    .replace(/^[\s"'“”„.,;:!?()]+|[\s"'“”.,;:!?()]+$/g, '');

/**
 * Whether words are typed as asked: slips (Levenshtein's distance) are forgiven word by word, by its length, never in
 * figures; so is a space too many or too few.
 */
export function isTyped(typed: string, accepted: string, spelling: ShortCheck['spelling']): boolean {
  const [own, asked] = [bare(typed), bare(accepted)];
  if (own === asked) return true;
  if (spelling === 'exact' || /\d/.test(own) || /\d/.test(asked)) return false;
  if (own.replaceAll(' ', '') === asked.replaceAll(' ', '')) return true;
  const [words, wanted] = [own.split(' '), asked.split(' ')];
  return (
    words.length === wanted.length &&
    wanted.every((word, at) => distance(words[at], word) <= Math.floor(word.length / LETTERS_A_SLIP))
  );
}

/** The response is what was typed. */
export const short: CheckMarking<ShortCheck, object, ShortSecret, string> = {
  view: () => ({}),
  secret: ({ accepted, spelling, quotes }) => ({ accepted, spelling, quotes: quotes.map(({ text }) => text) }),
  read: (response) =>
    typeof response === 'string' && response.trim() !== '' && response.length <= LONGEST_SHORT ? response : undefined,
  mark({ accepted, spelling, quotes }, response) {
    const isRight = accepted.some((each) => isTyped(response, each, spelling));
    return {
      score: isRight ? 1 : 0,
      state: 'marked',
      feedback: isRight ? { code: 'right', quotes } : { code: 'own', quotes: [] },
    };
  },
  solution: ({ accepted, quotes }) => ({ response: accepted[0], feedback: { code: 'right', quotes } }),
  typed: true,
  pack: (_, response, bits) => putText(response, bits),
  unpack: (_, bits) => takeText(bits),
  interaction: (_, response) => ({ type: 'fill-in', response: [response] }),
  said: (_, response) => [response],
};
