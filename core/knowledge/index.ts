import type { LanguagePack } from '../language/pack';
import { allSections, type Passage, type Source } from '../source/source';
import type { Claim } from './claim';
import { claimsOf, stepListsOf } from './claims';
import { glossaryEntries, type GlossaryEntryFound } from './glossary';
import { sentencesOf, type Sentence } from './sentences';
import { termsOf, type Term } from './terms';

export type { Claim, ClaimKind } from './claim';
export type { Sentence } from './sentences';
export type { Term } from './terms';

/** What is understood of one source. */
export interface Knowledge {
  source: Source;
  pack: LanguagePack;
  passages: Map<string, Passage>;
  sentences: Map<string, Sentence[]>;
  claims: Claim[];
  /** Definitions that the source itself marks as such, by passage. */
  entries: Map<string, GlossaryEntryFound>;
  /** Ids of the passages that stand first under a heading. */
  opening: ReadonlySet<string>;
  /** Ids of lists that tell steps. */
  stepLists: Set<string>;
  /** Passages that the course is about above all, as its author says. */
  focus?: ReadonlySet<string>;
  /** Only adds to what other sources lead, as the author says. */
  supporting?: boolean;
}

/** Raised whenever sources are understood differently than before: claims that were kept are then made anew. */
export const UNDERSTANDING = 3;

/** Reads a source for what it claims. */
export function understand(source: Source, pack: LanguagePack): Knowledge {
  const sentences = sentencesOf(source, pack);
  const passages = new Map(source.passages.map((passage) => [passage.id, passage]));
  const entries = glossaryEntries(source);
  const opening = new Set(
    allSections(source.root)
      .slice(1)
      .flatMap((section) => section.passages.slice(0, 1)),
  );
  return {
    source,
    pack,
    passages,
    sentences,
    entries,
    opening,
    claims: claimsOf(source, sentences, entries, pack),
    stepLists: stepListsOf(source, sentences, pack),
  };
}

/** The terms of several sources together, heaviest first. All of one language. */
export function commonTerms(knowledge: readonly Knowledge[]): Term[] {
  if (knowledge.length === 0) return [];
  const sentences = knowledge.flatMap((each) => [...each.sentences.values()].flat());
  const headings = knowledge.flatMap((each) =>
    allSections(each.source.root)
      .slice(1)
      .map((section) => section.title),
  );
  return termsOf(
    sentences,
    headings,
    knowledge.flatMap((each) => each.claims),
    knowledge[0].pack,
  );
}
