import { checkText, type Check } from '../checks/forms';
import type { PassageRange } from '../document/rich-text';
import type { Knowledge, Sentence } from '../knowledge';
import { stemWeights } from '../language/similarity';

/** A sentence of the sources that a question could stand on. */
export interface Standing {
  range: PassageRange;
  text: string;
  source: string;
}

const MOST = 5;
/** So much of what a question asks for, weighed by how telling its words are, a sentence says at least. */
const SAID = 0.35;

/**
 * Sentences that a question could stand on, the fittest first: those that say most of what is asked and right, each
 * word by how few sentences of the sources have it. None where nothing says enough of it.
 */
export function standingFor(check: Check, knowledge: readonly Knowledge[]): Standing[] {
  const [first] = knowledge;
  if (!first) return [];
  const [stem, ...answers] = checkText(check).split('\n');
  // Lines of wrong answers begin with a dash; where all are right, as in an order, none does.
  const right = answers.filter((line) => !line.startsWith('–'));
  const asked = new Set(first.pack.stems([stem, ...right].join(' ')));
  const all = knowledge.flatMap(({ source, sentences }) =>
    [...sentences.values()].flat().map((sentence: Sentence) => ({
      sentence,
      source: source.title,
      stems: new Set(sentence.stems),
    })),
  );
  const weights = stemWeights(all);
  const weigh = (stems: Iterable<string>) => [...stems].reduce((sum, each) => sum + (weights.get(each) ?? 0), 0);
  const whole = weigh(asked);
  if (whole === 0) return [];
  return all
    .map((each) => ({ ...each, said: weigh([...asked].filter((one) => each.stems.has(one))) / whole }))
    .filter(({ said }) => said >= SAID)
    .sort((a, b) => b.said - a.said || (a.sentence.passage.id < b.sentence.passage.id ? -1 : 1))
    .slice(0, MOST)
    .map(({ sentence, source }) => ({
      range: { id: sentence.passage.id, from: sentence.from, to: sentence.to },
      text: sentence.text,
      source,
    }));
}
