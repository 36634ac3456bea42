import type { PassageRange } from '../document/rich-text';
import type { Knowledge } from '../knowledge';
import { isAsking } from '../language/asking';
import { overlap } from '../language/similarity';
import { allSections, type Section } from '../source/source';

/** A part of a source under a heading that asks something or names something, with what is said of it first. */
export interface Headed {
  id: string;
  /** What the heading asks, word by word; the name it is. */
  title: string;
  how: 'asks' | 'names';
  /** What it says first, as it stands in the source; for a name what stands beside it in the heading, if anything. */
  said: string;
  range: PassageRange;
  /** Stems of what is said. */
  stems: readonly string[];
}

/** Fewer headings of one kind beside each other are no list of questions, nor of names. */
const FEWEST = 4;
/** From this share of a part's headings on, all of them ask, or are names. */
const SHARE = 0.6;
const LONGEST_LIST = 120;
/** From this share on, the questions were put to somebody who told of themselves. */
const TOLD = 0.2;
const LONGEST = { name: 3, said: 34, gloss: 12 };
const SHORTEST = 4;
/** So much alike, what is said of one thing is said of the other. */
const SAME = 0.5;

/**
 * The parts of a source whose headings ask or name, in lists of neighbours: what is asked of one can be answered
 * wrongly by what is said of another. `used`: only what stands on these passages.
 */
export function headedIn({ source, pack, passages, sentences }: Knowledge, used: ReadonlySet<string>): Headed[][] {
  const headed = (section: Section, how: Headed['how']): Headed[] => {
    // What stands under "Purpose" is what is said of it first.
    const first = allSections(section)
      .flatMap((part) => part.passages)
      .find((id) => used.has(id));
    const sentence = first === undefined ? undefined : sentences.get(first)?.[0];
    const passage = first === undefined ? undefined : passages.get(first);
    if (!sentence || passage?.kind !== 'paragraph') return [];
    const { name, gloss } = how === 'names' ? named(section.title) : { name: section.title, gloss: undefined };
    const said = gloss ?? passage.text.slice(sentence.from, sentence.to).trim();
    const words = said.split(/\s+/).length;
    if (!gloss && (words < SHORTEST || words > LONGEST.said || /[:：]$/.test(said))) return [];
    const range = { id: passage.id, from: sentence.from, to: sentence.to };
    return [{ id: section.id, title: name, how, said, range, stems: pack.stems(said) }];
  };
  const lists: Headed[][] = [];
  const times = new Map<string, number>();
  for (const { title } of allSections(source.root)) times.set(title, (times.get(title) ?? 0) + 1);
  const walk = (whole: Section) => {
    // What heads a part again and again ("Purpose") is a place in a scheme, and no name.
    const sections = whole.sections.filter(({ title }) => times.get(title) === 1);
    const share = (is: (title: string) => boolean, from = SHARE) =>
      sections.length >= FEWEST && sections.filter(({ title }) => is(title)).length >= sections.length * from;
    const how = share(isAsking) ? 'asks' : share((title) => isName(named(title).name)) ? 'names' : undefined;
    // What somebody was asked in an interview is answered by their story, not by a rule.
    if (how === 'asks' && !share((title) => pack.asksTeller?.(title) ?? false, TOLD))
      for (const group of groupsOf(sections, askedBy, () => true))
        lists.push(distinct(group.flatMap((section) => headed(section, how))));
    if (how === 'names')
      for (const group of groupsOf(sections, looksOf, ({ title }) => isName(named(title).name)))
        lists.push(distinct(group.flatMap((section) => headed(section, how))));
    for (const section of whole.sections) walk(section);
  };
  walk(source.root);
  return lists.filter((list) => list.length >= FEWEST);
}

/** Sections in groups by their titles: an answer to "When" is none to "Why", and a word is none among paths. */
function groupsOf(
  sections: readonly Section[],
  groupOf: (title: string) => string,
  fits: (section: Section) => boolean,
): Section[][] {
  const groups = new Map<string, Section[]>();
  for (const section of sections.filter(fits)) {
    const group = groupOf(section.title);
    groups.set(group, [...(groups.get(group) ?? []), section]);
  }
  // Neighbours of neighbours are no better wrong answers: a list of thousands is looked at piece by piece.
  return [...groups.values()].flatMap((group) =>
    Array.from({ length: Math.ceil(group.length / LONGEST_LIST) }, (_, at) =>
      group.slice(at * LONGEST_LIST, (at + 1) * LONGEST_LIST),
    ),
  );
}

/** The word a question asks by; troubles, which are told, are of one kind. */
const askedBy = (title: string): string =>
  /[?？]$/.test(title) ? (/^\p{L}+/u.exec(title.trim())?.[0].toLowerCase() ?? '') : 'told';

const MARKED = /[/_.<>=$@-]|\d|\p{Ll}\p{Lu}/u;
const looksOf = (title: string): string => (MARKED.test(named(title).name) ? 'marked' : 'worded');

/** "/usr/bin : Most user commands": a name, and what it is; what is said of it in brackets is left off. */
function named(title: string): { name: string; gloss?: string } {
  const bare = title.replace(/\s*\([^)]*\)$/, '').trim();
  const [, name, gloss] = /^(\S+(?:\s\S+)?)\s*(?::|\s[–—-])\s+(\S.*)$/u.exec(bare) ?? [];
  return name && isName(name) && gloss.split(/\s+/).length <= LONGEST.gloss ? { name, gloss } : { name: bare };
}

/** A path, an option, a field or a product: few words, none of which is one of everyday use. */
function isName(text: string): boolean {
  const words = text.split(/\s+/);
  return (
    words.length <= LONGEST.name &&
    !/[?？!.,;]$/.test(text) &&
    (MARKED.test(text) || words.every((word) => /^[\p{Lu}]/u.test(word)))
  );
}

/** Without those of which the same is said. */
const distinct = (list: readonly Headed[]): Headed[] =>
  list.filter((one) => list.every((other) => other === one || overlap(one.stems, other.stems) < SAME));
