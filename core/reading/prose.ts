/** From this share of its words on, letters with at most a mark behind them or plain figures, a text is prose. */
const WORDS = 0.94;
const LEAST_WORDS = 8;

/**
 * The paragraphs of what a document sets like program text though it is prose: whole sentences in lines of one indent,
 * without the signs and gaps of code. Undefined where it is code, or may be.
 */
export function proseIn(text: string): string[] | undefined {
  const lines = text.split('\n');
  const indents = new Set(lines.filter((line) => line.trim()).map((line) => line.length - line.trimStart().length));
  if (
    indents.size > 1 ||
    lines.some((line) => /\S {2,}\S/.test(line.replace(/[.!?] {2}/g, '. ')) || /^\s*[$#%>]/.test(line))
  )
    return undefined;
  const paragraphs = text
    .split(/\n\s*\n/)
    .map((paragraph) => paragraph.replace(/\s+/g, ' ').trim())
    .filter(Boolean);
  return paragraphs.length > 0 && paragraphs.every(isProse) ? paragraphs : undefined;
}

function isProse(paragraph: string): boolean {
  const words = paragraph.split(' ');
  const plain = words.filter((word) =>
    /^["“'‘(]?(?:\p{L}+(?:[-'’]\p{L}+)*|\d+(?:[.,:]\d+)*(?:%|\s?°C)?)[)"”'’]?[.,;:!?]*["”]?$/u.test(word),
  ).length;
  return (
    words.length >= LEAST_WORDS &&
    /^["“'‘]?\p{Lu}/u.test(paragraph) &&
    /[.!?]["”]?$/.test(paragraph) &&
    plain >= words.length * WORDS
  );
}
