import { isAbbreviation } from '../../language/segment';

/** Question marks and lead words in the middle of what people paste: who is asked, who answers. */
const TURN = /^\s*(?:[QAIRPF]|Interviewer|Question|Answer|Frage|Antwort|Réponse|Pregunta|Respuesta)\s*:\s+/i;
/** Lines broken to a width are at least this long, in characters. */
const WRAPPED_AT = 45;
/** In words. */
const SHORTEST_SENTENCE = 4;
/** Lines longer than this, in words, are paragraphs rather than steps. */
const LONGEST_STEP = 30;

/**
 * Typed text as Markdown: a line is a paragraph, for few people leave a line empty between them; but one that was
 * broken to a width goes on where the next begins small. What was typed in haste gets its capital and its full stop.
 * `steps`: lines are the steps of something, in order, where nothing marks them as anything else.
 */
export function typedText(text: string, steps: boolean): string {
  const lines = unwrapped(text.split('\n').map((line) => line.replace(TURN, '').trimEnd()));
  const said = lines.filter((line) => line.trim() !== '');
  const asSteps =
    steps && said.length > 1 && said.every((line) => !isMarked(line) && line.split(/\s+/).length <= LONGEST_STEP);
  let step = 0;
  return lines
    .map((line, at) => {
      if (line.trim() === '' || isMarked(line)) return line;
      const sentence = finished(line);
      if (asSteps) return `${++step}. ${sentence}`;
      const next = lines[at + 1] ?? '';
      // What ends in a colon leads in the list under it.
      return next.trim() === '' || (isMarked(next) && /:$/.test(sentence)) ? sentence : `${sentence}\n`;
    })
    .join('\n');
}

/** A small letter that begins a sentence, with the word before it. */
const SMALL_BEGINNING = /(\p{L}{2,})[.!?] +\p{Ll}(?=\p{Ll}*[\s,;:'.])/gu;

/**
 * Lines that say by their first characters what they are: items, headings, tables, quotations, fences, indented ones.
 */
const isMarked = (line: string): boolean => /^\s*(?:[-*+•]\s|\d+[.)]\s|#|\||>|```|~~~)|^\s{2,}\S/.test(line);

/**
 * Lines that were only broken to a width, put together: breaks then stand before small letters, though the text begins
 * with a capital.
 */
function unwrapped(lines: readonly string[]): string[] {
  const breaks = lines.flatMap((line, at) =>
    at > 0 && line !== '' && lines[at - 1] !== '' ? [[lines[at - 1], line]] : [],
  );
  const isWrapped =
    breaks.length > 0 &&
    !/^\P{L}*\p{Ll}/u.test(lines.find((line) => line.trim() !== '') ?? '') &&
    breaks.filter(([before, after]) => before.length >= WRAPPED_AT && /^\p{Ll}/u.test(after)).length >=
      breaks.length * 0.4;
  const whole: string[] = [];
  for (const line of lines) {
    const before = whole.at(-1) ?? '';
    if (isWrapped && before !== '' && line !== '' && !isMarked(line) && !/[.!?…:;]$/.test(before))
      whole[whole.length - 1] = `${before} ${line.trim()}`;
    else whole.push(line);
  }
  return whole;
}

/** With a capital, unless it begins with a name of its own spelling, and a full stop, where its script has them. */
function finished(line: string): string {
  const begun = /^\s*\p{Ll}+(?:-\p{Ll}+)*(?:[\s,;:'.!?]|$)/u.test(line)
    ? line.replace(/\p{Ll}/u, (letter) => letter.toUpperCase())
    : line;
  const text = begun.replace(SMALL_BEGINNING, (whole, word: string) =>
    isAbbreviation(word) ? whole : whole.slice(0, -1) + whole.slice(-1).toUpperCase(),
  );
  return /[\p{Script=Latin}\p{Script=Cyrillic}\p{Script=Greek}\p{N})\]%]$/u.test(text) &&
    text.split(/\s+/).length >= SHORTEST_SENTENCE
    ? `${text}.`
    : text;
}
