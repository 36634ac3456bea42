import { folded } from '../../source/inline';
import { goesOnWithAddress, isOneWord, type KnownWord } from '../../source/line-ends';

/** A line that is only drawn, under a heading or between parts. */
export const RULE = /^\s*([=\-~*_#.+^"'])\1{2,}\s*$/;

/** A stretch of plain text between blank lines. */
export interface Chunk {
  lines: string[];
  indent: number;
}

/** Joins hard-wrapped lines; a hyphen at a line's end goes only when what it joins is one word; an address goes on. */
export function unwrapped(lines: readonly string[], { inText, isWord }: Words): string {
  return lines.reduce((text, raw) => {
    const line = raw.trim();
    if (!text) return line;
    const broken = /(\p{L}+)-$/u.exec(text);
    const next = /^(\p{Ll}+)/u.exec(line);
    if (broken && next) return isOneWord(broken[1], next[1], inText, isWord) ? text.slice(0, -1) + line : text + line;
    return goesOnWithAddress(text, line) ? text + line : `${text} ${line}`;
  }, '');
}

/** Where words are looked up: those of the text itself, and a list of its language's where there is one. */
export interface Words {
  inText: KnownWord;
  isWord?: KnownWord;
}

/**
 * Tells whether a word stands in a text, unbroken. The words are gathered when first asked: most texts have no broken
 * ones.
 */
export function wordsOf(text: string): (word: string) => boolean {
  let words: Set<string> | undefined;
  return (word) => {
    if (!words) {
      words = new Set();
      for (const [found] of text.toLowerCase().matchAll(/\p{L}+(?:-\p{L}+)*/gu)) words.add(found);
    }
    return words.has(word);
  };
}

/** Program text rather than prose: symbols, assignments, prompts, or lines of very uneven length. */
export function looksLikeCode(lines: readonly string[]): boolean {
  const text = lines.join('\n');
  const symbols = text.match(/[{}[\]$#<>=|\\;&*_/@~^`]/g)?.length ?? 0;
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  if (lines.some((line) => /^\s*[$#%>]\s+\S/.test(line))) return true;
  return symbols > 0.12 * Math.max(letters, 1) && !/[.!?]\s*$/.test(text.trim());
}

/**
 * Program text that stands at the margin, as prose does: of more signs than prose could have, and no line of words
 * alone.
 */
export function isSurelyCode(lines: readonly string[]): boolean {
  const text = lines.join('\n');
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  const signs = text.match(/[{}[\]$#<>=|\\;&*_/@~^`%+]/g)?.length ?? 0;
  return (
    lines.length > 1 &&
    signs > 0.2 * letters &&
    lines.filter((line) => /[{}[\]$#<>=|\\;&*_/@~^`%+]/.test(line)).length >= lines.length * 0.7
  );
}

/** Lines of a table drawn with "|": three or more with as many cells each; a line of dashes is none. */
export function tableRows(lines: readonly string[]): string[][] | undefined {
  const rows = lines
    .filter((line) => !/^[\s|+:=-]+$/.test(line))
    .map((line) =>
      line
        .trim()
        .replace(/^\||\|$/g, '')
        .split('|')
        .map((cell) => folded(cell)),
    );
  return rows.length >= 3 && rows[0].length >= 2 && rows.every((row) => row.length === rows[0].length)
    ? rows
    : undefined;
}

/** How many blanks a line begins with. */
export function indentOf(line: string): number {
  return line.length - line.trimStart().length;
}
