import type { Mark } from './source';

/** A piece of running text with the marks that hold for all of it. */
export interface Run {
  text: string;
  kinds?: Mark['kind'][];
  href?: string;
}

// Controls, zero-width and direction-changing characters: invisible, so they could hide words from an author.
const INVISIBLE =
  // eslint-disable-next-line no-control-regex
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u00ad\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff\ufffe\uffff]/g;

/** Text without invisible characters, in composed form. Joiners that scripts need (ZWJ, ZWNJ) stay. */
export function visible(text: string): string {
  const composed = text.normalize('NFC');
  return composed.search(INVISIBLE) < 0 ? composed : composed.replace(INVISIBLE, '');
}

/** Running text with every stretch of white space folded to one space. */
export function folded(text: string): string {
  const seen = visible(text);
  return (/[^\S ]| {2}/.test(seen) ? seen.replace(/\s+/g, ' ') : seen).trim();
}

/** Joins runs into one text with white space folded and marks on exact offsets; neighbours of one kind are joined. */
export function joinRuns(runs: readonly Run[]): { text: string; marks: Mark[] } {
  let text = '';
  const marks: Mark[] = [];
  for (const run of runs) {
    let piece = visible(run.text).replace(/\s+/g, ' ');
    if (piece.startsWith(' ') && (text === '' || text.endsWith(' '))) piece = piece.slice(1);
    if (piece === '') continue;
    const from = text.length;
    text += piece;
    for (const kind of run.kinds ?? []) {
      const last = marks.findLast(
        (mark) => mark.kind === kind && mark.href === (kind === 'link' ? run.href : undefined),
      );
      if (last && last.to >= from - 1 && text.slice(last.to, from).trim() === '') last.to = text.length;
      else marks.push({ from, to: text.length, kind, ...(kind === 'link' && run.href ? { href: run.href } : {}) });
    }
  }
  text = text.trimEnd();
  const kept = marks
    .map((mark) => trimMark(mark, text))
    .filter((mark) => mark.from < mark.to)
    .sort((a, b) => a.from - b.from || a.to - b.to || (a.kind < b.kind ? -1 : 1));
  return { text, marks: kept };
}

function trimMark(mark: Mark, text: string): Mark {
  let { from, to } = mark;
  to = Math.min(to, text.length);
  while (from < to && text[from] === ' ') from++;
  while (to > from && text[to - 1] === ' ') to--;
  return { ...mark, from, to };
}
