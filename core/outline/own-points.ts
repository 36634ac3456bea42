import type { Share } from './own-words';
import type { ScopeSection } from './scope';

/** A passage is about a point when it, or its heading, has so much of the point's words, by weight. */
const ABOUT = 0.5;

/**
 * The passages of a lesson that the points of an author's own outline are about, by the point's place: each where it
 * has most of the words, and most words where several are said as a whole. What is about none stands at none.
 */
export function passagesAtPoints(
  points: readonly string[],
  sections: readonly ScopeSection[],
  { stems, share, saysOf }: { stems: (text: string) => string[]; share: Share; saysOf: (passage: string) => string[] },
): Map<number, string[]> {
  const said = points.map((point) => new Set(stems(point)));
  const placed = new Map<number, string[]>();
  for (const { title, passages } of sections) {
    const heading = new Set(stems(title));
    for (const id of passages) {
      const own = new Set(saysOf(id));
      const [best] = said
        .map((words, at) => ({ at, size: words.size, fits: Math.max(share(words, own), share(words, heading)) }))
        .sort((a, b) => b.fits - a.fits || b.size - a.size || a.at - b.at);
      if (best && best.fits >= ABOUT) placed.set(best.at, [...(placed.get(best.at) ?? []), id]);
    }
  }
  return placed;
}
