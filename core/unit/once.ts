import type { PassageRange } from '../course/rich-text';
import type { Knowledge, Sentence } from '../knowledge';
import { sameFacts } from './same';
import type { Unit } from './unit';
import { sentenceKey } from './units';

/** What is said elsewhere and so not here, by sentence keys, and for what says it where else it is said. */
export interface SaidOnce {
  said: Map<string, string>;
  also: Map<string, PassageRange[]>;
}

/** Units that stand or fall as a whole: nothing is taken out of their inside. */
const WHOLE: ReadonlySet<Unit['kind']> = new Set(['procedure', 'table', 'terms', 'question', 'code', 'case']);

/**
 * Settles what is shown where sources say the same. A sentence goes for one that says it too; of a procedure, a table, a run of
 * terms, an answer or a story all goes or nothing, and so of a list that a sentence introduces or whose items are the names of
 * parts ("cord and plug"). What a later sentence of its
 * paragraph leans on stays.
 */
export function saidOnce({ knowledge, sources, matter }: { knowledge: readonly Knowledge[]; sources: readonly { units: readonly Unit[] }[]; matter: { noise: ReadonlyMap<string, unknown> } }, home: ReadonlyMap<string, string>): SaidOnce {
  const sentences = new Map<string, Sentence>();
  for (const each of knowledge) for (const own of each.sentences.values()) for (const sentence of own) sentences.set(sentenceKey(sentence), sentence);
  const taught = (key: string) => !matter.noise.has(key) && home.has(sentences.get(key)!.passage.id);
  const same = sameFacts(knowledge, (passage) => home.get(passage), taught);
  const said = new Map<string, string>();
  for (const { units } of sources) {
    for (const unit of units) {
      const own = unit.passages.flatMap((id) => knowledge.find((each) => each.passages.has(id))!.sentences.get(id) ?? []);
      const gone = own.filter((sentence) => same.has(sentenceKey(sentence)));
      if (gone.length === 0) continue;
      const whole = WHOLE.has(unit.kind) || (unit.kind === 'list' && (unit.lead !== undefined || isOneThing(own)));
      const rest = own.filter((sentence) => !same.has(sentenceKey(sentence)) && taught(sentenceKey(sentence)) && !/[:：]$/.test(sentence.text));
      if (whole && rest.length > 0) continue;
      for (const sentence of gone) said.set(sentenceKey(sentence), same.get(sentenceKey(sentence))!);
      // Nothing is left to introduce.
      if (rest.length === 0) for (const sentence of own) if (!said.has(sentenceKey(sentence))) said.set(sentenceKey(sentence), same.get(sentenceKey(gone[0]))!);
    }
  }
  for (const [key] of said) {
    const { passage, index } = sentences.get(key)!;
    const next = sentences.get(`${passage.id}/${index + 1}`);
    if (next && !said.has(sentenceKey(next)) && next.facts?.leaning === 'points-back') said.delete(key);
  }
  const also = new Map<string, PassageRange[]>();
  for (const [key, primary] of said) {
    const { passage, from, to } = sentences.get(key)!;
    also.set(primary, [...(also.get(primary) ?? []), { id: passage.id, from, to }]);
  }
  return { said, also };
}

/** Items that say nothing of their own are parts of one thing. */
function isOneThing(items: readonly Sentence[]): boolean {
  return items.filter((item) => item.tags.some((word) => word.tag === 'VERB' || word.tag === 'AUX')).length < items.length * 0.5;
}
