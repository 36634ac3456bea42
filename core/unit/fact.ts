import type { Knowledge, Sentence } from '../knowledge';
import { secondsIn } from '../language/time-units';
import { allSections } from '../source/source';
import { sentenceKey } from './units';
import { anyOf } from '../language/phrases';

/**
 * A sentence as it is compared: what it says in stems and figures, and what stands around it and need not be said
 * again.
 */
export interface Fact {
  sentence: Sentence;
  key: string;
  source: number;
  pack: Knowledge['pack'];
  stems: ReadonlySet<string>;
  numbers: ReadonlySet<string>;
  around: ReadonlySet<string>;
  numbersAround: ReadonlySet<string>;
  weight: number;
}

const NEGATIONS = anyOf`
  not | never | no | nobody | nothing | none | neither | nor | without | cannot | nicht | nie | niemals
  kein\p{L}* | niemand | ohne | jamais | aucun\p{L}* | personne | sans | nunca | nadie | ning\u00fan\p{L}* | sin
`;
/** Words that deny. */
export const NEGATIVE = new RegExp(String.raw`\b${NEGATIONS}\b|n['’]t\b|\bne\b|\bn['’]`, 'iu');

/**
 * Whether the part of a sentence that has these stems denies: "carried in the box, never in the hand" asks for the box.
 */
export function denies({ sentence, pack }: Fact, stems: readonly string[]): boolean {
  const clauses = sentence.text
    .split(/[,;:|()]|\s[–—-]\s|\b(?:but|aber|sondern|mais|pero|sino)\b/iu)
    .filter((clause) => clause.trim() !== '');
  if (clauses.length < 2) return NEGATIVE.test(sentence.text);
  const holding = clauses.map((clause) => ({
    clause,
    count: pack.stems(pack.regular?.(clause) ?? clause).filter((stem) => stems.includes(stem)).length,
  }));
  const most = Math.max(...holding.map((each) => each.count));
  return holding.some(({ clause, count }) => count === most && NEGATIVE.test(clause));
}

/** The sentences of sources as they are compared; `taught`: whether a sentence, by its key, is taught at all. */
export function factsOf(knowledge: readonly Knowledge[], taught: (key: string) => boolean): Fact[] {
  // Within one source only nearly the same words are looked for: its sentences need not be made regular first.
  const alone = knowledge.length === 1;
  return knowledge.flatMap((each, source) => {
    const {
      pack,
      sentences,
      source: { root },
    } = each;
    const heads = alone
      ? new Map<string, string[]>()
      : new Map(
          allSections(root).flatMap((section) =>
            section.passages.map((id) => [id, pack.stems(section.title)] as const),
          ),
        );
    return [...sentences].flatMap(([id, own]) => {
      const said = own.map((sentence) => (alone ? plainly(sentence) : saidIn(sentence, pack)));
      return own.flatMap((sentence, at): Fact[] =>
        !taught(sentenceKey(sentence)) || sentence.technical || /[?？:：]$/.test(sentence.text)
          ? []
          : [
              {
                sentence,
                pack,
                key: sentenceKey(sentence),
                source,
                stems: new Set(said[at].stems),
                numbers: said[at].numbers,
                weight: 0,
                around: alone
                  ? NONE
                  : new Set([
                      ...(heads.get(id) ?? []),
                      ...said.flatMap((other, index) => (index === at ? [] : other.stems)),
                    ]),
                numbersAround: alone
                  ? NONE
                  : new Set(said.flatMap((other, index) => (index === at ? [] : [...other.numbers]))),
              },
            ],
      );
    });
  });
}

const NONE: ReadonlySet<string> = new Set();

function plainly({ stems }: Sentence): { stems: string[]; numbers: Set<string> } {
  return {
    stems: stems.filter((stem) => !/^\d/.test(stem)),
    numbers: new Set(stems.filter((stem) => /^\d/.test(stem))),
  };
}

/** The figures of a sentence, times in seconds, and the stems of the rest of it. */
function saidIn({ text }: Sentence, pack: Knowledge['pack']): { stems: string[]; numbers: Set<string> } {
  const plain = pack.regular?.(text) ?? text;
  const found =
    pack.numbers?.(plain) ??
    [...plain.matchAll(/\d+(?:[.,]\d+)?/g)].map((match) => ({
      value: Number(match[0].replace(',', '.')),
      from: match.index,
      to: match.index + match[0].length,
    }));
  const numbers = new Set<string>();
  let bare = plain;
  for (const { value, from, to } of found.toReversed()) {
    const unit = /^[\s-]+(\p{L}+)/u.exec(plain.slice(to));
    const seconds = unit ? secondsIn(unit[1]) : undefined;
    numbers.add(seconds === undefined ? String(value) : `${value * seconds} s`);
    bare = `${bare.slice(0, from)} ${bare.slice(seconds === undefined ? to : to + unit![0].length)}`;
  }
  // "Clean-looking" says what "look clean" says.
  return { numbers, stems: pack.stems(bare.replace(/(\p{L})-(?=\p{L})/gu, '$1 ')).filter((stem) => !/^\d/.test(stem)) };
}
