import type { Brief, Point } from '../course/course';
import { idFrom } from '../document/id';
import type { Knowledge, Term } from '../knowledge';
import { Bm25, stemWeights } from '../language/similarity';
import { draftOutline, type OutlineProposal, type SourceMatter } from './index';
import { stemsOf } from './likeness';
import { passagesAtPoints } from './own-points';
import { naming, saidIn, saidLesson, sharesBy } from './own-words';
import type { ProposedLesson } from './proposal';
import type { Scope, ScopeSection } from './scope';
import type { OwnOutline } from '../own/own';

/** A section is a lesson's when so much of its heading, by weight, stands in the lesson's title, or of that in it. */
const HEADED = 0.6;
/**
 * A lesson that no heading names gets the topic that fits its words best, if that has this share of its title's words,
 * by weight, or its heading names nearly so much of it. A title of one word ("Refunds") is what a topic is about that
 * says it so often.
 */
const FITTING = { share: 0.4, named: 0.45, often: 3 };
/** A point with less of its words, by weight, in what its lesson got is an open question. */
const COVERED = 0.5;

/**
 * An author's own outline held against the sources: each of its lessons with the sections that are about it. The topics
 * are those of a drafted outline, which has brought the sources together already. Sections go where a lesson's title or
 * points name their heading, the rest of a topic with them; a lesson that no heading names gets the topic that fits its
 * words best; what is about none of them is left out and says so. Lessons and points
 * for which the sources hold nothing stay, with a question each.
 */
export function proposeOwn(
  outline: OwnOutline,
  brief: Brief,
  matter: readonly SourceMatter[],
  terms: readonly Term[],
  title: string,
): OutlineProposal {
  const drafted =
    matter.length > 0
      ? draftOutline({ ...brief, size: { questionsPerLesson: 0 } }, matter, terms, title)
      : { modules: [], dropped: [], notices: [] };
  const bySource = new Map(matter.map(({ knowledge }) => [knowledge.source.id, knowledge]));
  const knowledgeOf = new Map(
    matter.flatMap(({ knowledge }) => [...knowledge.passages.keys()].map((id) => [id, knowledge] as const)),
  );
  const lead = matter[0]?.knowledge;
  const stems = lead?.pack.stems ?? (() => []);
  const saysOf = (passage: string) =>
    (knowledgeOf.get(passage)?.sentences.get(passage) ?? []).flatMap((sentence) => sentence.stems);
  const topicOf = (name: string, sections: readonly ScopeSection[]) => {
    const all = [...stems(name), ...sections.flatMap((section) => sectionStems(section, knowledgeOf))];
    return { title: name, sections: [...sections], all, stems: new Set(all) };
  };
  const sourceOf = (section: ScopeSection) => knowledgeOf.get(section.passages[0]);
  /**
   * What has no heading, stands below what is there already, was brought in from another source, or is all of its own
   * goes with it.
   */
  const goesWith = (section: ScopeSection, all: readonly ScopeSection[], there: readonly ScopeSection[]) =>
    isRoot(section, bySource) ||
    there.some(({ title: above }) => section.path.includes(above)) ||
    all.filter((each) => sourceOf(each) === sourceOf(section)).length === 1 ||
    sourceOf(section) !== sourceOf(all[0]);
  const topics = drafted.modules
    .flatMap((module) => module.lessons)
    .map(({ title: topic, scope }) => topicOf(topic, scope.sections));
  const lessons = outline.modules.flatMap((module, at) =>
    module.lessons.map((lesson, index) => ({
      lesson,
      at,
      index,
      said: saidLesson(lesson, stems),
      sections: [] as ScopeSection[],
    })),
  );
  type Entry = (typeof lessons)[number];
  const share = sharesBy(stemWeights(topics));
  /** The lesson that names a heading best, the first among equals. */
  const named = (heading: string): Entry | undefined => {
    const said = saidIn(heading, stems);
    let best: Entry | undefined;
    let most = 0;
    for (const entry of lessons) {
      const score = naming(entry.said, said, share);
      if (score > most) [best, most] = [entry, score];
    }
    return most >= HEADED ? best : undefined;
  };
  const open: typeof topics = [];
  for (const topic of topics) {
    const homes = topic.sections.map((section) => ({
      section,
      home: isRoot(section, bySource) ? undefined : named(section.title),
    }));
    const rest: ScopeSection[] = [];
    const home = named(topic.title) ?? mostOf(homes.flatMap(({ home: own }) => own ?? []));
    for (const each of homes) {
      const own = each.home ?? (home && goesWith(each.section, topic.sections, home.sections) ? home : undefined);
      if (own) own.sections.push(each.section);
      else rest.push(each.section);
    }
    // Short neighbours stand in one lesson of a draft without being about one thing.
    if (home) open.push(...rest.map((section) => topicOf(section.title, [section])));
    else if (rest.length > 0) open.push(topicOf(topic.title, rest));
  }
  const index = new Bm25(open.map((topic) => topic.all));
  const headings = open.map((topic) => saidIn(topic.title, stems));
  const fitting = lessons
    .filter((entry) => entry.sections.length === 0)
    .flatMap((entry) => {
      const { title: own, all } = entry.said;
      const ranks = index.rank(all);
      return ranks.map(({ document, score }) => {
        const topic = open[document];
        const held = share(own.stems, topic.stems);
        const name = naming(entry.said, headings[document], share);
        const often = own.stems.size === 1 ? topic.all.filter((stem) => own.stems.has(stem)).length : 0;
        const fits = own.stems.size > 1 ? held >= FITTING.share : held === 1 && often >= FITTING.often;
        return { entry, topic, fits: fits || name >= FITTING.named, score: score / ranks[0].score + held + name };
      });
    })
    .filter(({ fits }) => fits)
    .sort((a, b) => b.score - a.score);
  for (const { entry, topic } of fitting) {
    if (entry.sections.length > 0 || topic.sections.length === 0) continue;
    entry.sections.push(...topic.sections);
    topic.sections = [];
  }
  const dropped = [
    ...drafted.dropped,
    ...open
      .filter((topic) => topic.sections.length > 0)
      .map((topic) => ({
        passages: topic.sections.flatMap((section) => section.passages),
        reason: 'outline' as const,
      })),
  ];
  const order = new Map([...knowledgeOf.keys()].map((id, at) => [id, at]));
  return {
    title: outline.title ?? title,
    language: brief.language,
    dropped,
    notices: drafted.notices,
    modules: outline.modules.map((module, at) => ({
      id: idFrom('m', 'own', at, module.title),
      title: module.title,
      ...(module.purpose && { purpose: module.purpose }),
      lessons: lessons
        .filter((entry) => entry.at === at)
        .map(({ lesson, index: place, sections }): ProposedLesson => {
          const scope = scopeOf(lesson.title, sections, order, knowledgeOf);
          const said = new Set(sections.flatMap((section) => sectionStems(section, knowledgeOf)));
          const placed = passagesAtPoints(lesson.points, scope.sections, { stems, share, saysOf });
          const asked = lesson.points.filter((point) => share(new Set(stems(point)), said) < COVERED);
          return {
            id: idFrom('l', 'own', at, place, lesson.title),
            title: lesson.title,
            otherTitles: [],
            scope,
            ...(lesson.points.length > 0 && {
              points: lesson.points.map((text, nth): Point => ({
                id: idFrom('i', 'own', at, place, nth, text),
                text,
                does: 'explain',
                passages: placed.get(nth) ?? [],
              })),
            }),
            own: {
              ...(lesson.objective && { objective: lesson.objective }),
              ...(lesson.minutes !== undefined && { minutes: lesson.minutes }),
              open: sections.length === 0 && asked.length === 0 ? [lesson.title] : asked,
            },
          };
        }),
    })),
  };
}

/** What stands before all headings of a source is headed by the source's own title, which names no topic. */
const isRoot = ({ id }: ScopeSection, sources: ReadonlyMap<string, Knowledge>): boolean =>
  [...sources.values()].some(({ source }) => source.root.id === id);

const sectionStems = (section: ScopeSection, knowledgeOf: ReadonlyMap<string, Knowledge>): string[] => {
  const knowledge = knowledgeOf.get(section.passages[0]);
  return knowledge ? stemsOf({ sections: [section] }, knowledge) : [];
};

/** The one that comes most often; the first among equals. */
function mostOf<Each>(list: readonly Each[]): Each | undefined {
  const counts = new Map<Each, number>();
  for (const each of list) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** A lesson's matter, in the order of the sources. */
function scopeOf(
  title: string,
  sections: readonly ScopeSection[],
  order: ReadonlyMap<string, number>,
  knowledgeOf: ReadonlyMap<string, Knowledge>,
): Scope {
  const sorted = [...sections].sort((a, b) => order.get(a.passages[0])! - order.get(b.passages[0])!);
  return {
    title,
    sourceId: sorted.length > 0 ? knowledgeOf.get(sorted[0].passages[0])!.source.id : '',
    sections: sorted,
    words: 0,
    weight: 1,
  };
}
