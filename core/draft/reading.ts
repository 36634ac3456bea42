import { allLessons, type Course } from '../course/course';
import { usesOf } from '../course/uses';
import type { Knowledge } from '../knowledge';
import { allSections, type Passage, type Source } from '../source/source';
import { WEB_ADDRESS } from '../blocks/event/form';
import { unusedFor } from './unused';

/** Something that a lesson's learners could read on in. */
export interface ReadingOffer {
  title: string;
  /** Where it is on the web, if it is. */
  address?: string;
  /** A sentence of the source that says what it is good for, as a range of its passage. */
  says?: { passage: Passage; from: number; to: number };
  language: string;
}

const MOST_LINKS = 8;
const MOST_SECTIONS = 6;
/** A link called by less ("here") says nothing of where it leads; its sentence does. */
const TELLING = 3;

/**
 * What a lesson's learners could read on in: the links in the passages it stands on, and the parts of the sources on
 * its topic that no lesson uses, by their headings. What the page has already, by address or title, is none.
 */
export function readingOffers(course: Course, lessonId: string, knowledge: readonly Knowledge[]): ReadingOffer[] {
  const lesson = allLessons(course).find((each) => each.id === lessonId);
  if (!lesson) return [];
  const has = JSON.stringify(lesson.blocks);
  const fresh = new Set<string>();
  const isFresh = ({ title, address }: ReadingOffer) => {
    const key = address ?? title;
    if (fresh.has(key) || has.includes(JSON.stringify(address ?? title))) return false;
    fresh.add(key);
    return true;
  };
  return [
    ...linksOf(course, lessonId, knowledge).filter(isFresh).slice(0, MOST_LINKS),
    ...sectionsOn(course, lessonId, knowledge).filter(isFresh).slice(0, MOST_SECTIONS),
  ];
}

/** Links in the passages that a lesson stands on or is planned from. */
function linksOf(course: Course, lessonId: string, knowledge: readonly Knowledge[]): ReadingOffer[] {
  const lesson = allLessons(course).find((each) => each.id === lessonId)!;
  const used = [...usesOf(course)].filter(([, uses]) => uses.some((use) => use.lesson === lessonId)).map(([id]) => id);
  const passages = new Set([...used, ...lesson.plannedPassages]);
  return knowledge.flatMap(({ source, sentences }) =>
    source.passages
      .filter(({ id }) => passages.has(id))
      .flatMap((passage) =>
        (passage.marks ?? []).flatMap(({ kind, from, to, href }): ReadingOffer[] => {
          if (kind !== 'link' || !href || !WEB_ADDRESS.test(href)) return [];
          const words = passage.text.slice(from, to).trim();
          const sentence = sentences.get(passage.id)?.find((each) => each.from <= from && each.to >= to);
          const telling = words.split(/\s+/).length >= TELLING || words === passage.text.trim();
          return [
            {
              title: telling || !sentence ? words : passage.text.slice(sentence.from, sentence.to).trim(),
              address: href,
              ...(telling && sentence && { says: { passage, from: sentence.from, to: sentence.to } }),
              language: source.language,
            },
          ];
        }),
      ),
  );
}

/** Parts of the sources on a lesson's topic that no lesson uses, by their headings. */
function sectionsOn(course: Course, lessonId: string, knowledge: readonly Knowledge[]): ReadingOffer[] {
  const found = unusedFor(course, lessonId, knowledge, 40);
  const byId = new Map(knowledge.map((each) => [each.source.id, each]));
  return found.flatMap(({ id, sourceId }): ReadingOffer[] => {
    const { source, passages, sentences } = byId.get(sourceId)!;
    const section = allSections(source.root).find((each) => each.passages.includes(id));
    if (!section?.title) return [];
    const first = section.passages.flatMap((each) => sentences.get(each)?.[0] ?? [])[0];
    const passage = first && passages.get(first.passage.id);
    const address = addressOf(source, passages.get(id)!);
    return [
      {
        title: source.title === section.title ? section.title : `${source.title}: ${section.title}`,
        ...(address && { address }),
        ...(passage && { says: { passage, from: first.from, to: first.to } }),
        language: source.language,
      },
    ];
  });
}

/** Where a passage is on the web: its page, at its place in it. */
function addressOf({ address }: Source, { locator }: Passage): string | undefined {
  if (!address || !WEB_ADDRESS.test(address)) return undefined;
  return locator.anchor ? `${address.split('#')[0]}#${locator.anchor}` : address;
}
