import type { Block } from '../../blocks/forms';
import type { RichText } from '../../document/rich-text';
import type { Range } from '../../language/pack';
import type { UsedSentence } from '../../unit/shown';
import type { Part } from '../parts';
import { andMore, canCut, knowledgeOf, leans, stretch, type PartShape, type SentenceShape } from './shape';

/** So many terms that are defined one after another are a list of words. */
const FEWEST = 3;
/** A term is a few words. */
const LONGEST_TERM = 60;

interface Defined {
  term: string;
  used: UsedSentence;
  meaning: { from: number; to: number };
  more: UsedSentence[];
}

/** What a sentence defines, where it begins with the term; the meaning runs to its end. */
function definedBy(used: UsedSentence, definition = used.sentence.facts?.definition): Defined | undefined {
  const { sentence } = used;
  if (!definition?.proper || leans(sentence) || sentence.facts?.rule) return undefined;
  const { term, meaning } = definition;
  const words = sentence.text.slice(term.from, term.to);
  const before = sentence.text.slice(0, term.from);
  if (!/^(?:\p{L}{1,3}\s)?$/u.test(before) || words.length > LONGEST_TERM || !canCut(used, meaning.from))
    return undefined;
  return {
    term: words.charAt(0).toUpperCase() + words.slice(1),
    used,
    meaning: { from: meaning.from, to: sentence.text.length },
    more: [],
  };
}

const entryOf = ({ term, used, meaning, more }: Defined, id: string): { term: string; text: RichText } => ({
  term,
  text: andMore(stretch(used, meaning, id), more, id),
});

const termsOf = (entries: readonly Defined[], id: string): Block => ({
  id,
  kind: 'terms',
  body: { terms: entries.map((entry) => entryOf(entry, id)) },
});

/** Definitions in one paragraph, each with what is said of its term before the next one, as words and meanings. */
export const definedInText: SentenceShape = (sentences, at, context) => {
  const entries: Defined[] = [];
  const { passage } = sentences[at].sentence;
  let to = at;
  for (; to < sentences.length && sentences[to].sentence.passage === passage; to++) {
    const { text, tags } = sentences[to].sentence;
    // Among definitions, and with the term set apart by its author, what is worded like one is one.
    const marked = strongIn(sentences[to]);
    const { pack } = knowledgeOf(sentences[to], context);
    const alike = entries.length > 1 || marked ? pack.definesAlike?.(text, tags, marked) : undefined;
    const found = definedBy(sentences[to]) ?? (alike && definedBy(sentences[to], alike));
    if (found) entries.push(found);
    else if (entries.length > 0) entries.at(-1)!.more.push(sentences[to]);
    else return undefined;
  }
  return entries.length >= FEWEST ? { to, make: (id) => termsOf(entries, id) } : undefined;
};

/** The first words of a sentence that its author set in strong letters, as characters of its text. */
function strongIn({ sentence: { passage, from, to } }: UsedSentence): Range | undefined {
  const mark = passage.marks?.find((each) => each.kind === 'strong' && each.from >= from && each.to <= to);
  return mark && { from: mark.from - from, to: mark.to - from };
}

/** A list of definitions. */
export const definedInList: PartShape = ([part], _, place) => {
  if (part.kind !== 'list' || part.items.some(({ passage }) => (passage.list?.depth ?? 0) > 0)) return undefined;
  const entries = part.items.map(itemDefined);
  if (entries.length < FEWEST || entries.some((entry) => entry === undefined)) return undefined;
  return { parts: 1, blocks: [termsOf(entries as Defined[], place('terms'))] };
};

function itemDefined({ sentences: [first, ...more] }: Part['items'][number]): Defined | undefined {
  const found = first && definedBy(first);
  return found && { ...found, more };
}
