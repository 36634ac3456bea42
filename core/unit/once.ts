import type { PassageRange } from '../document/rich-text';
import type { Knowledge, Sentence } from '../knowledge';
import { factsOf, type Fact } from './fact';
import { parallel } from './parallel';
import { sameFacts } from './same';
import type { Unit } from './unit';
import { sentenceKey } from './units';

/** What is said elsewhere and so not here, by sentence keys, and for what says it where else it is said. */
export interface SaidOnce {
  said: Map<string, string>;
  also: Map<string, PassageRange[]>;
}

/** Units made of points. */
const LISTED: ReadonlySet<Unit['kind']> = new Set(['list', 'procedure']);
/** Units that stand or fall as a whole: nothing is taken out of their inside. */
const WHOLE: ReadonlySet<Unit['kind']> = new Set(['procedure', 'table', 'terms', 'question', 'code', 'case']);

/**
 * Settles what is shown where sources say the same. A sentence goes for one that says it too; of a procedure, a table,
 * a run of terms, an answer or a story all goes or nothing, and so of a list that a sentence introduces or whose items
 * are the names of parts ("cord and plug"). What a later sentence of its paragraph leans on stays.
 */
export function saidOnce(
  {
    knowledge,
    sources,
    matter,
  }: {
    knowledge: readonly Knowledge[];
    sources: readonly { units: readonly Unit[] }[];
    matter: { noise: ReadonlyMap<string, unknown> };
  },
  home: ReadonlyMap<string, string>,
): SaidOnce {
  const sentences = new Map<string, Sentence>();
  for (const each of knowledge)
    for (const own of each.sentences.values())
      for (const sentence of own) sentences.set(sentenceKey(sentence), sentence);
  const taught = (key: string) => !matter.noise.has(key) && home.has(sentences.get(key)!.passage.id);
  const facts = factsOf(knowledge, taught);
  const sentencesOf = ({ passages }: Unit) =>
    passages.flatMap((id) => knowledge.find((each) => each.passages.has(id))!.sentences.get(id) ?? []);
  const listed = sameLists(sources, facts, home);
  const inListed = new Set([...listed.keys()].flatMap(({ passages }) => passages));
  // What goes with its list says nothing for others.
  const same = new Map(
    [...sameFacts(facts, (passage) => home.get(passage))].filter(
      ([, fuller]) => !inListed.has(sentences.get(fuller)!.passage.id),
    ),
  );
  const said = new Map<string, string>();
  for (const unit of sources.flatMap(({ units }) => units)) {
    const own = sentencesOf(unit);
    const list = listed.get(unit);
    if (list) {
      for (const sentence of own)
        said.set(sentenceKey(sentence), list.get(sentence.passage.id) ?? [...list.values()][0]);
      continue;
    }
    // Of an entry that is a list's item all goes or nothing.
    const entries =
      unit.kind === 'list'
        ? own.filter((sentence) =>
            own.every((other) => other.passage !== sentence.passage || same.has(sentenceKey(other))),
          )
        : own;
    const gone = entries.filter((sentence) => same.has(sentenceKey(sentence)));
    if (gone.length === 0) continue;
    const whole = WHOLE.has(unit.kind) || (unit.kind === 'list' && (unit.lead !== undefined || isOneThing(own)));
    const rest = own.filter(
      (sentence) => !gone.includes(sentence) && taught(sentenceKey(sentence)) && !/[:：]$/.test(sentence.text),
    );
    if (whole && rest.length > 0) continue;
    for (const sentence of gone) said.set(sentenceKey(sentence), same.get(sentenceKey(sentence))!);
    // Nothing is left to introduce.
    if (rest.length === 0)
      for (const sentence of own)
        if (!said.has(sentenceKey(sentence))) said.set(sentenceKey(sentence), same.get(sentenceKey(gone[0]))!);
  }
  settle(said);
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

/**
 * What says it for others is shown itself: of those that stand for each other in turn the last stays, and all others
 * lead to what is shown.
 */
function settle(said: Map<string, string>): void {
  for (const key of [...said.keys()]) {
    const met = new Set([key]);
    let last = said.get(key);
    for (; last !== undefined && said.has(last) && !met.has(last); last = said.get(last)) met.add(last);
    // Led round in a circle: this one is shown.
    if (last !== undefined && met.has(last)) said.delete(key);
  }
  for (const [key, first] of said) {
    let last = first;
    while (said.has(last)) last = said.get(last)!;
    said.set(key, last);
  }
}

/**
 * Lists that another source's list in the same lesson says point by point: for each of their passages the key of what
 * says it.
 */
function sameLists(
  sources: readonly { units: readonly Unit[] }[],
  facts: readonly Fact[],
  home: ReadonlyMap<string, string>,
): Map<Unit, Map<string, string>> {
  const byPassage = new Map<string, Fact[]>();
  for (const fact of facts)
    byPassage.set(fact.sentence.passage.id, [...(byPassage.get(fact.sentence.passage.id) ?? []), fact]);
  const lists = sources
    .flatMap(({ units }) => units)
    .filter(({ kind }) => LISTED.has(kind))
    .map((unit) => ({
      unit,
      points: unit.passages.filter((id) => id !== unit.lead && byPassage.has(id)).map((id) => byPassage.get(id)!),
    }));
  const found = new Map<Unit, Map<string, string>>();
  for (const { unit, points } of lists) {
    for (const other of lists) {
      if (
        other.unit.sourceId === unit.sourceId ||
        other.unit.words < unit.words ||
        found.has(other.unit) ||
        found.has(unit)
      )
        continue;
      if (home.get(unit.passages[0]) !== home.get(other.unit.passages[0])) continue;
      const places = parallel(points, other.points);
      if (places)
        found.set(
          unit,
          new Map(points.map((point, at) => [point[0].sentence.passage.id, other.points[places[at]][0].key])),
        );
    }
  }
  return found;
}

/** Signs that join the two halves of an entry: "Dirty hands → soap and water", "Tummy bug: 48 hours". */
const JOINED = /\S\s*(?:[→⇒=|]|:(?=\s))\s*\S/u;

/** Items that say nothing of their own are parts of one thing. */
function isOneThing(items: readonly Sentence[]): boolean {
  return (
    items.filter(
      (item) => JOINED.test(item.text) || item.tags.some((word) => word.tag === 'VERB' || word.tag === 'AUX'),
    ).length <
    items.length * 0.5
  );
}
