/** An address that a line's end broke: it ended in a sign that ends none, and goes on without a gap. */
const BROKEN_ADDRESS = /(?:https?:\/\/|www\.)\S*[/_=&?%-]$/i;

/** Whether a line goes on with an address that the text before it began. */
export const goesOnWithAddress = (text: string, line: string): boolean =>
  BROKEN_ADDRESS.test(text) && /^[\p{L}\p{N}%_~-]/u.test(line);

/** Stands before words, with a hyphen. */
const BEFORE =
  /^(?:\p{L}|non|pre|anti|multi|semi|self|sub|co|ex|re|un|cross|quasi|pseudo|post|inter|intra|micro|mini|ultra|vice)$/u;

/** Words a reader knows: those of a text, of a word list. */
export type KnownWord = (word: string) => boolean;

/**
 * Whether what stands before a hyphen at a line's end and after it is one word ("pack-" "ages"): the text has it whole,
 * or a word list does or lacks one of the halves ("main-" "tainer"), and the text nowhere has it with its hyphen
 * ("twelve-volt"). What is only ever put before words ("non-", "e-") keeps it.
 */
export function isOneWord(before: string, after: string, inText: KnownWord, isWord?: KnownWord): boolean {
  const [first, second] = [before.toLowerCase(), after.toLowerCase()];
  if (inText(first + second)) return true;
  if (inText(`${first}-${second}`) || !isWord) return false;
  return isWord(first + second) || ((!isWord(first) || !isWord(second)) && !BEFORE.test(first));
}
