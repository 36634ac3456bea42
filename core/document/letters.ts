/** Holding texts against each other by their letters, in whatever language. */

/** A text's runs of three letters, with its words' edges. */
export function threes(text: string): Set<string> {
  const found = new Set<string>();
  for (const [word] of text.toLowerCase().matchAll(/[\p{L}\p{N}]+/gu)) {
    const edged = ` ${word} `;
    for (let at = 0; at + 3 <= edged.length; at++) found.add(edged.slice(at, at + 3));
  }
  return found;
}

/** Dice's coefficient: how much two sets have in common, 0 to 1. */
export function dice(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  if (a.size === 0 || b.size === 0) return 0;
  let shared = 0;
  for (const each of a) if (b.has(each)) shared++;
  return (2 * shared) / (a.size + b.size);
}

/** How many of a word's first letters tell it, where no stems of its language are at hand. */
const ROOT = 5;

/**
 * The longer words of a text, each cut to its first letters, a short plural to its singular ("tools", "tool"): a rough
 * way of holding words against words.
 */
export const roots = (text: string): Set<string> =>
  new Set(
    [...text.toLowerCase().matchAll(/\p{L}{4,}/gu)].map(([word]) => word.slice(0, ROOT).replace(/(?<=...)s$/, '')),
  );
