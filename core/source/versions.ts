import type { Passage, Source } from './source';
import { overlap } from './words';

/** What a newer version of a source brings, by passages. Texts are kept, for the old version is seen nowhere else. */
export interface VersionChange {
  /** As before, some of them elsewhere. */
  same: number;
  moved: number;
  changed: { id: string; before: string; after: string; afterId: string; path: string[] }[];
  added: { text: string; path: string[] }[];
  gone: { id: string; text: string; path: string[] }[];
}

/** Share of words that a changed passage has in common with what it was. */
const ALIKE = 0.35;

/**
 * Compares two versions of one source. A passage is the same when its id is, which survives moving; one that went and
 * one of the same kind that came, alike in their words and nearest in place, are one that changed.
 */
export function compareVersions(before: Pick<Source, 'passages'>, after: Pick<Source, 'passages'>): VersionChange {
  const old = new Map(before.passages.map((passage) => [passage.id, passage]));
  const now = new Map(after.passages.map((passage) => [passage.id, passage]));
  const kept = after.passages.filter((passage) => old.has(passage.id));
  const left = before.passages.filter((passage) => !now.has(passage.id));
  const came = new Set(after.passages.filter((passage) => !old.has(passage.id)));
  const changed: VersionChange['changed'] = [];
  const gone: VersionChange['gone'] = [];
  const having = passagesByWord(came);
  for (const passage of left) {
    const words = wordsOf(passage);
    let best: { passage: Passage; likeness: number } | undefined;
    for (const other of candidates(words, having)) {
      if (other.kind !== passage.kind || !came.has(other)) continue;
      const likeness =
        overlap(words, wordsOf(other)) + (other.locator.path.join() === passage.locator.path.join() ? 0.05 : 0);
      if (likeness >= ALIKE && likeness > (best?.likeness ?? 0)) best = { passage: other, likeness };
    }
    if (best) {
      came.delete(best.passage);
      changed.push({
        id: passage.id,
        before: passage.text,
        after: best.passage.text,
        afterId: best.passage.id,
        path: passage.locator.path,
      });
    } else gone.push({ id: passage.id, text: passage.text, path: passage.locator.path });
  }
  const moved = kept.filter(
    (passage) => old.get(passage.id)!.locator.path.join('\u0001') !== passage.locator.path.join('\u0001'),
  ).length;
  return {
    same: kept.length,
    moved,
    changed,
    added: [...came].map(({ text, locator }) => ({ text, path: locator.path })),
    gone,
  };
}

/**
 * A passage is looked for by its rarest words: comparing each with each would take hours on a long document worded
 * anew.
 */
const RAREST = 12;
const MOST_CANDIDATES = 300;

function passagesByWord(passages: Iterable<Passage>): Map<string, Passage[]> {
  const found = new Map<string, Passage[]>();
  for (const passage of passages) {
    for (const word of new Set(wordsOf(passage))) {
      const list = found.get(word);
      if (list) list.push(passage);
      else found.set(word, [passage]);
    }
  }
  return found;
}

/** Passages that share one of the rarest of some words. */
function candidates(words: readonly string[], having: ReadonlyMap<string, Passage[]>): Set<Passage> {
  const rarest = [...new Set(words)]
    .flatMap((word) => (having.has(word) ? [having.get(word)!] : []))
    .sort((a, b) => a.length - b.length)
    .slice(0, RAREST);
  const found = new Set<Passage>();
  for (const list of rarest) for (const passage of list) if (found.size < MOST_CANDIDATES) found.add(passage);
  return found;
}

function wordsOf({ text }: Passage): string[] {
  return text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}
