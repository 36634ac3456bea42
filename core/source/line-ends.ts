/** An address that a line's end broke: it ended in a sign that ends none, and goes on without a gap. */
const BROKEN_ADDRESS = /(?:https?:\/\/|www\.)\S*[/_=&?%-]$/i;

/** Whether a line goes on with an address that the text before it began. */
export const goesOnWithAddress = (text: string, line: string): boolean => BROKEN_ADDRESS.test(text) && /^[\p{L}\p{N}%_~-]/u.test(line);

/**
 * Whether the hyphen at a line's end only divided a word ("pack-ages"), rather than joining two ("self-service"). `known` tells
 * whether a word stands in the text, unbroken: the whole one says yes, the hyphened one no, and so does a second part that is a word.
 */
export function dividesWord(first: string, second: string, known: (word: string) => boolean): boolean {
  if (known((first + second).toLowerCase())) return true;
  return !known(`${first}-${second}`.toLowerCase()) && !known(second.toLowerCase());
}
