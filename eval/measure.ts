import { blockTexts } from '../core/blocks/forms';
import { allLessons } from '../core/course/course';
import { evidencedSentences, textOf } from '../core/document/rich-text';
import { briefFrom } from '../core/brief/given';
import { ProblemError } from '../core/document/problem';
import { draftCourse, type Draft } from '../core/draft';
import { reportOn, type DraftReport } from '../core/draft/report';
import { understand } from '../core/knowledge';
import { cleanTitle } from '../core/outline/titles';
import { packFor } from '../server/language/packs';
import { readInChild, sourceIds } from '../server/reading';

/** A draft of documents with what can be counted of it. */
export interface Measured {
  draft: Draft;
  report: DraftReport;
  milliseconds: { read: number; draft: number };
  /** Sentences that begin a part of a page although they lean on something before them. */
  dangling: string[];
  repeated: number;
  keys: { questions: number; longest: number; places: number[] };
}

/** Reads and drafts; a problem instead when there is nothing to draft from. */
export async function measure(paths: readonly string[]): Promise<Measured | string> {
  const ids = sourceIds(paths);
  const start = performance.now();
  const results = await Promise.all(paths.map((path, index) => readInChild(path, ids[index])));
  const read = performance.now();
  const sources = results.flatMap((result) => (result.ok ? [result.source] : []));
  if (sources.length === 0) return results[0].ok ? '' : results[0].problem.code;
  const knowledge = sources.map((source) => understand(source, packFor(source.language)));
  try {
    const draft = draftCourse(briefFrom({ sourcesOnly: true }, sources[0].language), knowledge, sources[0].title);
    const done = performance.now();
    return {
      draft,
      report: reportOn(draft),
      milliseconds: { read: read - start, draft: done - read },
      dangling: danglingIn(draft),
      repeated: repeatedIn(draft),
      keys: keysOf(draft),
    };
  } catch (error) {
    if (error instanceof ProblemError) return error.problem.code;
    throw error;
  }
}

function danglingIn({ course, context }: Draft): string[] {
  return allLessons(course).flatMap(({ title, blocks }) =>
    blocks.flatMap((block, at) => {
      const before = blocks[at - 1];
      if (block.kind !== 'text' || (before && before.kind !== 'heading')) return [];
      const [first] = evidencedSentences(block.body.text);
      const { id } = first.mark.attrs.passages[0];
      const { pack, opening, passages } = context.matter.of(id);
      // "This field …" leans on the heading that its document has over it, if that is what is shown there.
      const own = cleanTitle(passages.get(id)!.locator.path.at(-1) ?? '', [], course.title).toLowerCase();
      if (opening.has(id) && own === (before ? textOf(before.body.text) : title).toLowerCase()) return [];
      const leaning = pack.understands ? pack.facts?.(first.text, pack.tags?.(first.text) ?? []).leaning : undefined;
      return leaning === 'points-back' || leaning === 'joins-on' ? [first.text] : [];
    }),
  );
}

function repeatedIn({ course }: Draft): number {
  const seen = new Set<string>();
  let repeated = 0;
  for (const { text } of allLessons(course).flatMap((lesson) =>
    lesson.blocks
      .filter((block) => block.kind === 'text')
      .flatMap((block) => blockTexts(block).flatMap(evidencedSentences)),
  )) {
    if (seen.has(text)) repeated++;
    seen.add(text);
  }
  return repeated;
}

function keysOf({ course }: Draft): Measured['keys'] {
  const checks = course.checks.filter((check) => check.kind === 'choice');
  const keyText = (check: (typeof checks)[number]) => check.options.find((option) => option.id === check.key)!.text;
  return {
    questions: checks.length,
    longest: checks.filter((check) =>
      check.options.every((option) => option.id === check.key || option.text.length < keyText(check).length),
    ).length,
    places: [0, 1, 2, 3].map((place) => checks.filter((check) => check.options[place]?.id === check.key).length),
  };
}
