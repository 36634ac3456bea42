import type { Knowledge, Sentence, Term } from '../knowledge';
import { roughWords } from '../source/words';
import { instructs } from '../unit/facets';
import { sentenceKey, type SourceUnits } from '../unit/units';
import type { ScopeSection } from './scope';
import { upperFirst } from './titles';

/** How many of the heaviest terms are looked for. */
const TERMS = 200;
/** Words more common than this (Zipf scale) name nothing. */
const COMMON = 5.2;
const LONGEST = 4;

/** For each part of a section the term or two that mark it against the other parts; none where nothing does. */
export function markingTerms(parts: readonly ScopeSection[], knowledge: Knowledge, terms: readonly Term[]): string[][] {
  // What the whole document is about marks no part of it.
  const everywhere = new Set(
    [...terms]
      .sort((a, b) => b.count - a.count || (a.key < b.key ? -1 : 1))
      .slice(0, 4)
      .map((term) => term.key),
  );
  const wanted = new Map(
    terms
      .slice(0, TERMS)
      .filter(
        (term) =>
          !everywhere.has(term.key) &&
          (knowledge.pack.commonness(term.label) ?? 0) < COMMON &&
          namesThing(term.label, knowledge),
      )
      .map((term) => [term.key, term]),
  );
  const counts = parts.map((part) => countsIn(part, knowledge, wanted));
  const total = new Map<string, number>();
  for (const count of counts) for (const [key, times] of count) total.set(key, (total.get(key) ?? 0) + times);
  return counts.map((count) => {
    const scored = [...count]
      .filter(([, times]) => times >= 2)
      .map(([key, times]) => ({
        key,
        label: wanted.get(key)!.label,
        score: (times / (1 + total.get(key)! - times)) * wanted.get(key)!.weight,
      }))
      .sort((a, b) => b.score - a.score || (a.key < b.key ? -1 : 1));
    const [first, ...rest] = scored;
    if (!first) return [];
    const second = rest.find(
      (term) =>
        !term.key.split(' ').some((stem) => first.key.split(' ').includes(stem)) && term.score > first.score * 0.5,
    );
    return second ? [first.label, second.label] : [first.label];
  });
}

/** Whether a term ends in the name of a thing, and not in a sound or a verb. */
export function namesThing(label: string, { pack }: Knowledge): boolean {
  if (!pack.tags) return true;
  return !pack.hesitations?.(label).length && /^(?:NOUN|PROPN)$/.test(pack.tags(`the ${label}`).at(-1)?.tag ?? '');
}

/** How often each wanted term stands in a part. */
function countsIn(part: ScopeSection, knowledge: Knowledge, wanted: ReadonlyMap<string, Term>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { stems } of part.passages.flatMap((id) => knowledge.sentences.get(id) ?? [])) {
    for (let from = 0; from < stems.length; from++) {
      for (let length = 1; length <= LONGEST && from + length <= stems.length; length++) {
        const key = length === 1 ? stems[from] : stems.slice(from, from + length).join(' ');
        if (wanted.has(key)) counts.set(key, (counts.get(key) ?? 0) + 1);
      }
    }
  }
  return counts;
}

/**
 * A heading as a title for learners: none where it asks the one who tells ("Tell me …", "What do you do?"), for then
 * what was answered names the matter.
 */
export function goodHeading(title: string, told: boolean, { pack }: Knowledge): boolean {
  return !told || !(pack.asksTeller?.(title) ?? false);
}

/** A title of words that were said has so many words. */
const SAID = { least: 3, most: 8 };

/**
 * A title out of what a part without a heading says: the question it asks, or its strongest short rule or warning, word
 * by word. Undefined where nothing of it can stand alone.
 */
export function saidTitle(
  { passages }: Pick<ScopeSection, 'passages'>,
  knowledge: Knowledge,
  noise: SourceUnits['noise'],
): string | undefined {
  const { sentences, claims, pack } = knowledge;
  if (!pack.understands) return undefined;
  const strong = new Set(
    claims.filter(instructs).flatMap((claim) => claim.ranges.map((range) => `${range.id}/${range.from}`)),
  );
  const own = passages
    .flatMap((id) => sentences.get(id) ?? [])
    .filter((sentence) => !noise.has(sentenceKey(sentence)))
    .map(firstClause)
    .filter(
      ({ words, facts, text }) =>
        words >= SAID.least &&
        words <= SAID.most &&
        !facts?.pointsWithin &&
        !pack.hesitations?.(text).length &&
        !/["“”()]|\b(?:this|it|they|he|she|I|we|me|us|you|your)\b|^that\b|\bthat['’]s\b|\bthat (?:is|was)\b/i.test(
          text,
        ),
    );
  const question = own.find(({ text, facts }) => /[?？]$/.test(text) && facts?.leaning !== 'joins-on');
  const rule = own
    .filter(({ facts, text }) => facts && !facts.leaning && !facts.firstPerson && /[.!]$/.test(text))
    .map((sentence) => ({ sentence, worth: worthOf(sentence, strong) }))
    .filter((each) => each.worth > 0)
    .sort((a, b) => b.worth - a.worth)[0];
  const text = question?.text ?? rule?.sentence.text.replace(/[.!]+$/, '');
  return text && upperFirst(text);
}

/** "Nobody sleeps in the corridor, not even for one night": what is said before something is added to it. */
function firstClause(sentence: Sentence): Sentence {
  const clause =
    sentence.words > SAID.most
      ? /^[^,;:]+(?=, (?:not|and|but|because|so|or|which)\b)/.exec(sentence.text)?.[0]
      : undefined;
  return clause && !/^(?:if|when|before|after|once|until|unless|while|as|because|since)\b/i.test(clause)
    ? { ...sentence, text: `${clause}.`, words: roughWords(clause) }
    : sentence;
}

function worthOf({ facts, passage, from, text }: Sentence, strong: ReadonlySet<string>): number {
  return (
    (strong.has(`${passage.id}/${from}`) ? 1 : 0) +
    (facts!.rule?.negative ? 1 : 0) +
    (facts!.warning ? 0.5 : 0) +
    (/^(?:an?|every|each|no|nobody|never|always|all|only)\b/i.test(text) ? 0.4 : 0)
  );
}
