import type { Knowledge } from '../knowledge';
import { edited, shown } from '../unit/shown';
import type { Passage } from '../source/source';
import { leans } from '../unit/relations';
import type { Unit } from '../unit/unit';
import type { ScopeSection } from './scope';

const WINDOW = 4;
/** Units that a line above them may head. */
const HEADED: ReadonlySet<Unit['kind']> = new Set(['list', 'terms', 'table', 'procedure']);
/** What is cut off has at least this share of the whole. */
const EDGE = 0.2;
/** A speaker's topic is named within so many sentences. */
const FIRST_SPOKEN = 4;
/** "So, the first one.": so many words only hold the floor for what comes. */
const HOLDING = 4;

/**
 * Splits a long section without headings where its vocabulary shifts: of the gaps between passages near equal sizes,
 * those across which the least words are shared (after TextTiling; Hearst 1997). Units stay whole, and with what they
 * lean on.
 */
export function splitSection(
  section: ScopeSection,
  parts: number,
  knowledge: Knowledge,
  words: ReadonlyMap<string, number>,
  unitOf: ReadonlyMap<string, Unit>,
): ScopeSection[] {
  const passages = section.passages.map((id) => knowledge.passages.get(id)!);
  const total = section.passages.reduce((sum, id) => sum + (words.get(id) ?? 0), 0);
  const stems = section.passages.map((id) => (knowledge.sentences.get(id) ?? []).flatMap((sentence) => sentence.stems));
  const within = (at: number) => unitOf.get(passages[at].id)! === unitOf.get(passages[at - 1].id);
  // A line of its own over a run of terms or a list heads it, also without a colon ("Other groups have no user.").
  const heads = (at: number) =>
    passages[at]?.kind === 'paragraph' &&
    (knowledge.sentences.get(passages[at].id)?.length ?? 0) === 1 &&
    at + 1 < passages.length &&
    HEADED.has(unitOf.get(passages[at + 1].id)!.kind);
  const tied = (at: number) => within(at) || heads(at - 1) || unitOf.get(passages[at].id)!.relations.some(leans);
  const gaps: { at: number; before: number; cohesion: number }[] = [];
  let before = 0;
  for (let at = 1; at < passages.length; at++) {
    before += words.get(passages[at - 1].id) ?? 0;
    if (!tied(at))
      gaps.push({
        at,
        before,
        cohesion: cohesion(stems.slice(Math.max(0, at - WINDOW), at).flat(), stems.slice(at, at + WINDOW).flat()),
      });
  }
  const cuts = announced(passages, within, knowledge);
  const taken = new Set(cuts);
  const reach = total / parts / 2.5;
  // Gaps stand in order of the words before them, so each search goes on where the last one began.
  let first = 0;
  for (let part = 1; part < parts && cuts.length < parts - 1; part++) {
    const wanted = (total * part) / parts;
    while (first < gaps.length && gaps[first].before < wanted - reach) first++;
    let best: (typeof gaps)[number] | undefined;
    for (let index = first; index < gaps.length && gaps[index].before <= wanted + reach; index++) {
      const gap = gaps[index];
      const free = !taken.has(gap.at) && !taken.has(gap.at - 1) && !taken.has(gap.at + 1);
      if (free && (!best || gap.cohesion < best.cohesion)) best = gap;
    }
    if (best) {
      cuts.push(best.at);
      taken.add(best.at);
    }
  }
  // Of a text with few gaps, such as two long lists, none may lie near an even share.
  const [only] =
    cuts.length > 0
      ? []
      : gaps
          .filter((gap) => gap.before >= total * EDGE && gap.before <= total * (1 - EDGE))
          .sort((a, b) => a.cohesion - b.cohesion || a.at - b.at);
  if (only) cuts.push(only.at);
  const edges = [0, ...cuts.sort((a, b) => a - b), section.passages.length];
  return edges.slice(1).map((to, index) => ({ ...section, passages: section.passages.slice(edges[index], to) }));
}

/**
 * Where a speaker announces the next topic, also by "Then ...": at least three times, or it says nothing about the
 * whole.
 */
function announced(passages: readonly Passage[], within: (at: number) => boolean, knowledge: Knowledge): number[] {
  const places = passages.flatMap((passage, at) =>
    at > 0 &&
    !within(at) &&
    (announcedTopic(passage, knowledge) ||
      (readsQuestion(passage) && readsQuestion(passages[at + 1]) && !readsQuestion(passages[at - 1])))
      ? [at]
      : [],
  );
  return places.length >= 3 ? places : [];
}

/** Whether a speaker reads out a question that was sent: it stands in quotes, first. */
export const readsQuestion = (passage: Passage | undefined): boolean =>
  passage?.kind === 'utterance' && /^["“„«][^"“”„«»]{8,160}[?？]["”»]/u.test(passage.text);

/** The topic that a passage's first sentence announces, in speech also behind a few words. */
export function announcedTopic(passage: Passage, knowledge: Knowledge): string | undefined {
  const { pack, sentences } = knowledge;
  const spoken = passage.kind === 'utterance';
  for (const sentence of (sentences.get(passage.id) ?? []).slice(0, spoken ? FIRST_SPOKEN : 1)) {
    // "Then, um, packs."
    const text = spoken ? edited(shown(sentence, knowledge)) : sentence.text;
    const topic = pack.signpost?.(text) ?? (spoken ? pack.spokenHeading?.(text) : undefined);
    // "Right. Um. The next one is sharps.": behind a few words that only hold the floor.
    if (topic || sentence.words > HOLDING) return topic;
  }
  return undefined;
}

function cohesion(left: readonly string[], right: readonly string[]): number {
  const count = (stems: readonly string[]) =>
    stems.reduce((map, stem) => map.set(stem, (map.get(stem) ?? 0) + 1), new Map<string, number>());
  const a = count(left);
  const b = count(right);
  let dot = 0;
  for (const [stem, times] of a) dot += times * (b.get(stem) ?? 0);
  const norm = (map: Map<string, number>) =>
    Math.sqrt([...map.values()].reduce((sum, times) => sum + times * times, 0));
  return dot / Math.max(1, norm(a) * norm(b));
}
