const DENSE = /[\u3040-\u30ff\u3400-\u9fff\uf900-\ufaff\uac00-\ud7af]/g;

/** Words of a text as a reader counts them; a script without spaces counts two characters as a word. */
export function roughWords(text: string): number {
  if (PLAIN.test(text)) return plainWords(text);
  const dense = text.match(DENSE)?.length ?? 0;
  const spaced = (dense > 0 ? text.replace(DENSE, ' ') : text).match(/[\p{L}\p{N}][^\s]*/gu)?.length ?? 0;
  return spaced + Math.ceil(dense / 2);
}

const PLAIN = /^[\t-\r -~]*$/;

/**
 * The same count for a text of plain letters, which most are, without making a list of its words: this is counted very
 * often.
 */
function plainWords(text: string): number {
  let count = 0;
  let inside = false;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (code <= 32) inside = false;
    else if (!inside && ((code >= 97 && code <= 122) || (code >= 65 && code <= 90) || (code >= 48 && code <= 57))) {
      inside = true;
      count++;
    }
  }
  return count;
}

/** Share of words that two lists have in common (Jaccard), 0 to 1. */
export function overlap(a: Iterable<string>, b: Iterable<string>): number {
  const left = asSet(a);
  const right = asSet(b);
  if (left.size === 0 || right.size === 0) return 0;
  let shared = 0;
  for (const word of left) if (right.has(word)) shared++;
  return shared / (left.size + right.size - shared);
}

/** The same set where it is one: such are compared again and again. */
export function asSet(words: Iterable<string>): ReadonlySet<string> {
  return words instanceof Set ? words : new Set(words);
}
