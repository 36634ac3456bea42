import type { Piece } from './piece';

/** What somebody tells: answers of an author, and talks. */
const isVoice = ({ items: [{ passage }] }: Piece): boolean => passage.locator.question !== undefined || passage.kind === 'utterance';

/** Whether the words that introduce a list are told ("I always do three things:"). */
export const isToldLead = (piece: Piece): boolean => isVoice(piece) && piece.lead?.sentence.facts?.firstPerson === true;

function speaks(piece: Piece): boolean {
  return isToldLead(piece) || piece.items.some(({ passage, sentences }) => passage.callout === 'tip' || sentences.some(({ sentence: { facts, text } }) => facts?.firstPerson && !/[?？]$/.test(text)));
}

/** Points at what stands before it in its answer. */
function leans({ needs, headed, items: [{ sentences }] }: Piece): boolean {
  return needs !== undefined || (!headed && sentences[0]?.sentence.facts?.pointsWithin === true);
}

/**
 * Indexes of chosen pieces that a page shows as told: those in which an author or speaker says "I", and rules of thumb, with what
 * leans on them and what they lean on, in the same answer or turn.
 */
export function toldPieces(pieces: readonly Piece[], chosen: readonly number[]): Set<number> {
  const told = new Set(chosen.filter((index) => isVoice(pieces[index]) && (pieces[index].kind === 'sentence' || pieces[index].kind === 'list') && speaks(pieces[index])));
  const joined = chosen.flatMap((index, at): [number, number][] => {
    const before = chosen[at - 1];
    if (before === undefined || !leans(pieces[index]) || pieces[before].kind !== 'sentence') return [];
    const turn = ({ items: [{ passage }] }: Piece) => passage.locator.question ?? passage.id;
    return isVoice(pieces[index]) && turn(pieces[index]) === turn(pieces[before]) ? [[before, index]] : [];
  });
  for (const [before, after] of joined) if (told.has(before) && pieces[after].kind === 'sentence') told.add(after);
  for (const [before, after] of joined.reverse()) if (told.has(after)) told.add(before);
  return told;
}
