/** The number a heading carries, and how deep that number says it lies. */
export interface HeadingNumber {
  number: string;
  title: string;
  depth: number;
}

const NUMBERED_PARTS = [
  'part|teil|partie|parte|chapter|kapitel|chapitre|cap[ií]tulo|section|abschnitt|article|artikel|module|lesson|step',
  'appendix|anhang|annexe?|ap[eé]ndice|anexo',
].join('|');
const WORDED = new RegExp(
  String.raw`^(?:${NUMBERED_PARTS})\s+([0-9]+|[A-Z]|[IVXL]+)(?:\s*[.:)\u2013\u2014-]\s*|\s+(?=\p{Lu}))(.+)$`,
  'iu',
);
const DOTTED =
  /^(?:§\s*)?((?:[0-9]{1,3}|[A-Z](?=\.[0-9]))(?:\.[0-9]{1,3}){0,5})(?:[.)]\s*|\s+)(?=[\p{L}"'“«¿¡(/`.])(.+)$/u;
const APPENDIX = /^([A-Z])\.\s+(.+)$/u;
const CJK_CHAPTER = /^第\s*([0-9]+)\s*[章編部]\s*(.+)$/;
const BARE_COUNT = /^[0-9]{1,3}$/;

/** Splits "3.2. Booking" into number and title; undefined when the heading carries no number. */
export function headingNumber(heading: string): HeadingNumber | undefined {
  const chapter = CJK_CHAPTER.exec(heading);
  if (chapter) return { number: chapter[1], title: chapter[2], depth: 1 };
  const worded = WORDED.exec(heading);
  if (worded) return { number: worded[1], title: worded[2], depth: 1 };
  const dotted = DOTTED.exec(heading);
  if (dotted) {
    // "10 things to know" is a title that counts, not a numbered heading.
    const bare = BARE_COUNT.test(dotted[1]) && /^[0-9]+\s/.test(heading);
    if (bare && /^\p{Ll}/u.test(dotted[2])) return undefined;
    return { number: dotted[1], title: dotted[2], depth: dotted[1].split('.').length };
  }
  const appendix = APPENDIX.exec(heading);
  return appendix ? { number: appendix[1], title: appendix[2], depth: 1 } : undefined;
}

/**
 * Levels for a run of headings: where most are numbered, the numbers decide (pages of a site, or sizes in a
 * PDF, often do not); headings without a number keep their place below or beside their numbered neighbours.
 */
export function settledLevels(headings: readonly { level: number; text: string }[]): number[] {
  const numbers = headings.map((heading) => headingNumber(heading.text));
  const numbered = numbers.filter((number) => number && number.depth >= 1).length;
  const deep = numbers.some((number) => number && number.depth > 1);
  if (!deep || numbered < headings.length * 0.6) return headings.map((heading) => heading.level);
  const stack: { said: number; level: number }[] = [];
  return headings.map((heading, index) => {
    const number = numbers[index];
    while (stack.length > 0 && stack[stack.length - 1].said >= heading.level) stack.pop();
    const level = number ? number.depth : (stack[stack.length - 1]?.level ?? 0) + 1;
    while (stack.length > 0 && stack[stack.length - 1].level >= level) stack.pop();
    stack.push({ said: heading.level, level });
    return level;
  });
}
