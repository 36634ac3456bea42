import { withoutStart, type ReadBlock, type ReadPassage } from './blocks';

/** What captions call what they stand beside, in the languages we read; "Step 3: ..." beside its picture is a step. */
const CALLED =
  'figures?|figs?|tables?|tabs?|pictures?|photos?|images?|illustrations?|diagrams?|charts?|plates?|screenshots?|abbildung|abb|bild|tabelle|foto|tableau|figura|cuadro|tabla|imagen|ilustración';
/** "Figure 3: ...", "Tableau 2 : ...", "Abb. 4.1 - ...": its name, a number, and then its words. */
const NUMBERED = new RegExp(String.raw`^(?:${CALLED})\.?\s\d{1,3}(?:[.-]\d{1,3})*\s?[.:–—-]\s+\S`, 'iu');
/** Nothing but the name and the number. */
const LABEL = new RegExp(String.raw`^(?:${CALLED})\.?\s\d{1,3}(?:[.-]\d{1,3})*\s?[.:–—-]?$`, 'iu');
/** No caption is longer. */
const LONGEST = 240;

/** Whether a caption's sentence is only its name and number ("Figure 3."). */
export const isCaptionLabel = (text: string): boolean => LABEL.test(text.trim());

/**
 * Paragraphs with a caption's name and number become captions where they stand right before or behind a picture or a
 * table.
 */
export function settleCaptions(blocks: readonly ReadBlock[]): ReadBlock[] {
  const shows = (block: ReadBlock | undefined) =>
    block !== undefined && (block.kind === 'picture' || block.kind === 'row');
  return blocks.map((block, at) =>
    block.kind === 'paragraph' &&
    block.text.length <= LONGEST &&
    NUMBERED.test(block.text) &&
    (shows(blocks[at - 1]) || shows(blocks[at + 1]))
      ? { ...block, kind: 'caption' }
      : block,
  );
}

/** A sign or a number in brackets that leads to a note. */
const SIGN = /^(?:\[\w{1,3}\]|\(\w{1,3}\)|[*†‡§¶]{1,3})\s+(?=\S)/u;
/** A bare number before a sentence: "1 By the foreman only.", not "30 minutes at most." */
const NUMBER = /^(\d{1,3})[.)]?\s+(?=["“«]?\p{Lu})/u;

/**
 * Notes without the mark that leads to them: a sign, or a number that counts on from the note before. Figures that a
 * note begins with stay.
 */
export function settleNoteMarks(blocks: readonly ReadBlock[]): ReadBlock[] {
  let last = 0;
  return blocks.map((block) => {
    if (block.kind !== 'footnote') return block;
    const number = NUMBER.exec(block.text);
    const counts = number !== null && (Number(number[1]) === last + 1 || Number(number[1]) === 1);
    if (counts) last = Number(number[1]);
    return withoutStart(block as ReadPassage, SIGN.exec(block.text)?.[0].length ?? (counts ? number[0].length : 0));
  });
}
