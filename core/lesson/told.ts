import type { Sentence } from '../knowledge';
import type { Part } from './parts';

/** What somebody tells: answers of an author, and talks. */
const isVoice = ({ items: [{ passage }] }: Part): boolean =>
  passage.locator.question !== undefined || passage.kind === 'utterance';

/**
 * Of a turn in a talk, this share of sentences in the first person makes it a story rather than rules said by somebody.
 */
const STORY = 0.4;

const isOwn = ({ facts, text }: Sentence): boolean => facts?.firstPerson === true && !/[?？]$/.test(text);

function speaks({ items }: Part): boolean {
  const sentences = items.flatMap((item) => item.sentences.map((used) => used.sentence));
  if (items.some(({ passage }) => passage.callout === 'tip')) return true;
  const own = sentences.filter(isOwn).length;
  return items[0].passage.kind === 'utterance' ? own > 0 && own >= sentences.length * STORY : own > 0;
}

/** Points at what stands before it in its answer. */
function leans({ items: [{ sentences }] }: Part): boolean {
  const facts = sentences[0]?.sentence.facts;
  return facts?.leaning === 'points-back' || facts?.leaning === 'joins-on' || facts?.pointsWithin === true;
}

/** A list with the words that introduce it. */
const isLedBy = ({ kind, items: [{ passage }] }: Part, { items }: Part): boolean =>
  kind === 'list' && items.at(-1)!.passage.id === passage.leadIn;

/**
 * Indexes of parts that a page shows as told: those in which an author or speaker says "I", and rules of thumb, with
 * what leans on them and what they lean on, in the same answer or turn.
 */
export function toldParts(parts: readonly Part[]): Set<number> {
  const told = new Set(
    parts.flatMap((part, at) =>
      isVoice(part) && (part.kind === 'text' || part.kind === 'list') && speaks(part) ? [at] : [],
    ),
  );
  const turn = ({ items: [{ passage }] }: Part) => passage.locator.question ?? passage.id;
  const joined = parts.flatMap((part, at): [number, number][] =>
    at > 0 &&
    isVoice(part) &&
    (leans(part) || isLedBy(part, parts[at - 1])) &&
    parts[at - 1].kind === 'text' &&
    turn(part) === turn(parts[at - 1])
      ? [[at - 1, at]]
      : [],
  );
  for (const [before, after] of joined)
    if (
      told.has(before) &&
      (parts[after].kind === 'text' || (parts[after].kind === 'list' && isLedBy(parts[after], parts[before])))
    )
      told.add(after);
  for (const [before, after] of joined.reverse()) if (told.has(after)) told.add(before);
  return told;
}
