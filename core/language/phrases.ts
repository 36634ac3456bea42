/**
 * One of several wordings, as a group of a pattern: lists that a pattern is built from stand by themselves, under a
 * name, and are read as lists.
 *
 * @param lines - The wordings, each a piece of a regular expression as it is (escapes as in `String.raw`), with
 *   " | " or the end of a line between them.
 * @returns The source of a group that captures nothing, for `new RegExp`.
 */
export function anyOf(lines: TemplateStringsArray, ...pieces: readonly string[]): string {
  return `(?:${String.raw(lines, ...pieces)
    .trim()
    .split(/\s*\n\s*|\s+\|\s+/)
    .join('|')})`;
}
