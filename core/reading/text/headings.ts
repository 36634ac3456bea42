import { headingNumber } from '../../source/headings';
import { folded } from '../../source/inline';
import { looksLikeCode, RULE, unwrapped, type Chunk, type Words } from './lines';

/** Longer than any heading: not looked at, since one line may be megabytes. */
function isLong({ lines }: Chunk): boolean {
  return lines.slice(0, 3).some((line) => line.length > 400);
}

/** A longer line with a verb is a sentence and no title. */
const LONGEST_TITLE = 60;
const IS_SAID =
  /\s(?:is|are|was|were|can|may|must|will|has|have|ist|sind|wird|werden|kann|est|sont|peut|es|son|puede)\s/i;

/**
 * The lines a document opens with before its first numbered heading: who issued it, its title, a subtitle. In a
 * document without numbers only the first, since a title and a heading look alike there.
 */
export function openingLines(chunks: readonly Chunk[]): string[] {
  const lines: string[] = [];
  for (const chunk of chunks.slice(0, 3)) {
    if (isLong(chunk)) break;
    const [line, under] = chunk.lines.map((each) => folded(each));
    const alone = chunk.lines.length === 1 || (chunk.lines.length === 2 && RULE.test(under));
    if (
      !alone ||
      (line.length > LONGEST_TITLE && IS_SAID.test(line)) ||
      line.length > 90 ||
      headingNumber(line) ||
      /[.;,:]$/.test(line) ||
      !/\p{L}/u.test(line)
    )
      break;
    lines.push(line);
  }
  const numbered = chunks.some(
    (chunk) => chunk.lines.length === 1 && !isLong(chunk) && headingNumber(folded(chunk.lines[0])),
  );
  return numbered ? lines : lines.slice(0, 1);
}

/**
 * From which depth numbers count clauses ("4.1 Check the address ...") rather than headings: there, most numbered
 * stretches are whole sentences. Infinity where numbers head sections all the way down.
 */
export function clauseDepth(chunks: readonly Chunk[]): number {
  const counts = new Map<number, { all: number; sentences: number }>();
  for (const chunk of chunks) {
    const { lines } = chunk;
    if (lines[0].length > 2000) continue;
    const number = headingNumber(lines[0].trim());
    if (!number || number.depth < 2) continue;
    const text = lines.join(' ').trim();
    const count = counts.get(number.depth) ?? { all: 0, sentences: 0 };
    counts.set(number.depth, {
      all: count.all + 1,
      sentences: count.sentences + (text.length > 100 || /[.;:]$/.test(text) ? 1 : 0),
    });
  }
  const found = [...counts]
    .filter(([, { all, sentences }]) => all >= 3 && sentences >= all * 0.6)
    .map(([depth]) => depth);
  return found.length > 0 ? Math.min(...found) : Infinity;
}

/** The number of a top heading ("3. Steps"); undefined for others. */
export function topNumber(heading: string): number | undefined {
  const number = headingNumber(heading);
  return number?.depth === 1 ? Number(number.number) || undefined : undefined;
}

/**
 * What of a chunk is a heading; `counted` is the number of the list item right before it, which the next would go on
 * from.
 */
export function headingOf(
  chunk: Chunk,
  next: Chunk | undefined,
  known: Words,
  clauses: number,
  counted: number | undefined,
): { level: number; text: string; rest: string[] } | undefined {
  const { lines } = chunk;
  if (isLong(chunk)) return undefined;
  const first = lines[0].trim();
  if (lines.length >= 2 && RULE.test(lines[1]) && !RULE.test(lines[0]) && first.length <= 100) {
    return {
      level: RULE.exec(lines[1])![1] === '=' ? 1 : 2,
      text: folded(first.replace(/^#+\s*/, '')),
      rest: lines.slice(2),
    };
  }
  const text = folded(unwrapped(lines, known));
  const number = headingNumber(text);
  // A numbered question may be long; anything else of that length is a paragraph.
  const question = number !== undefined && number.depth > 1 && /[?!]$/.test(text);
  if (text.length > (question ? 260 : 160) || lines.length > (question ? 5 : 3)) return undefined;
  if (
    number &&
    number.depth < clauses &&
    chunk.indent <= 3 &&
    (!/[.;,:]$/.test(text.replace(/\betc\.$|\?$/, '')) || (number.depth > 1 && text.length <= 80 && text.endsWith('.')))
  ) {
    const following = next && next.lines.length <= 2 ? headingNumber(folded(next.lines.join(' '))) : undefined;
    const goesOn = number.depth === 1 && counted !== undefined && Number(number.number) === counted + 1;
    const listLike =
      goesOn || (number.depth === 1 && /^\d/.test(text) && following?.depth === 1 && next!.indent === chunk.indent);
    if (!listLike) return { level: number.depth, text, rest: [] };
  }
  const letters = text.replace(/[^\p{L}]/gu, '');
  if (
    lines.length === 1 &&
    letters.length >= 4 &&
    text.length <= 70 &&
    letters === letters.toUpperCase() &&
    letters !== letters.toLowerCase() &&
    !/[.;,]$/.test(text)
  ) {
    return { level: 2, text, rest: [] };
  }
  const standsOut =
    lines.length === 1 &&
    text.length <= 60 &&
    /^\p{Lu}/u.test(text) &&
    !/[.;,:!?)"]$/.test(text) &&
    text.split(' ').length <= 8;
  // "Use" over commands only leads to them.
  if (standsOut && next && next.indent > chunk.indent && chunk.indent === 0 && !looksLikeCode(next.lines))
    return { level: 4, text, rest: [] };
  return undefined;
}
