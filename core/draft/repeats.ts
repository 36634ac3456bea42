import type { Knowledge, Sentence } from '../knowledge';
import { overlap } from '../language/similarity';
import { sentenceKey } from '../unit/units';

/** Two sentences with this share of stems in common say the same. */
const SAME = 0.85;
const LEAST_STEMS = 5;
/** Stems in more sentences than this find nothing. */
const COMMON = 60;

/**
 * Sentences that an earlier one of the sources says already, with that one, both as "passage/index". Candidates are found by their rarest
 * stems, so the time grows with the text, not with its square.
 */
export function repeatedSentences(knowledge: readonly Knowledge[]): Map<string, string> {
  const sentences = knowledge.flatMap((each) => [...each.sentences.values()].flat()).filter((sentence) => new Set(sentence.stems).size >= LEAST_STEMS && sentence.passage.kind !== 'row');
  const spread = new Map<string, number>();
  for (const { stems } of sentences) for (const stem of new Set(stems)) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  const byStem = new Map<string, Sentence[]>();
  const repeated = new Map<string, string>();
  for (const sentence of sentences) {
    const rare = [...new Set(sentence.stems)].sort((a, b) => spread.get(a)! - spread.get(b)! || (a < b ? -1 : 1)).slice(0, 3);
    const telling = rare.filter((stem) => spread.get(stem)! <= COMMON);
    const candidates = telling.flatMap((stem) => byStem.get(stem) ?? []);
    const first = candidates.find((other) => overlap(other.stems, sentence.stems) >= SAME && numbersOf(other.text) === numbersOf(sentence.text));
    if (first) repeated.set(sentenceKey(sentence), sentenceKey(first));
    else {
      for (const stem of telling) {
        const list = byStem.get(stem);
        if (list) list.push(sentence);
        else byStem.set(stem, [sentence]);
      }
    }
  }
  return repeated;
}

function numbersOf(text: string): string {
  return (text.match(/\d+/g) ?? []).join();
}
