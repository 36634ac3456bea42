import { checkIn, formOf, mapBlockTexts, plainText, type Block } from '../blocks/forms';
import { rewordedFields, type Check } from '../checks/forms';
import { sameData } from '../document/canonical';
import { applyChanges, type Rewording } from '../document/reworded';
import { textOf } from '../document/rich-text';
import type { Course } from './course';
import type { Operation } from './operations';

/** Words looked for in a course. */
export interface Sought {
  words: string;
  /** As a whole word, not within another. */
  whole?: boolean;
  /** With the same capitals. */
  cased?: boolean;
}

/** A node that has them, in some of its fields. */
export interface FoundWords {
  id: string;
  /** The module or lesson it belongs to; none for a check that is offered and not placed. */
  row?: string;
  part: 'title' | 'purpose' | 'can' | 'page' | 'check';
  /** Its words, a line each. */
  text: string;
  /** How often. */
  count: number;
}

/** Something whose words can be changed: what they are, and the fields that change with them. */
interface Worded extends Omit<FoundWords, 'count'> {
  reworded(words: Replacer): Record<string, unknown>;
  was: Readonly<Record<string, unknown>>;
}

/**
 * Where a course has words, in its order: in titles, purposes and objectives, on the pages, and in what is asked. What
 * the sources say in their own words, as quotes of checks, is not looked through.
 */
export function findWords(course: Course, sought: Sought): FoundWords[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  return wordedIn(course).flatMap(({ id, row, part, text }) => {
    const count = [...text.matchAll(pattern)].length;
    return count > 0 ? [{ id, ...(row && { row }), part, text, count }] : [];
  });
}

/**
 * The operations that put other words there. A title that would have none left stays as it is. On a page, sentences
 * that stand on their passage go on to do so, the change recorded.
 */
export function replaceWords(
  course: Course,
  found: readonly Pick<FoundWords, 'id' | 'part'>[],
  sought: Sought,
  to: string,
): Operation[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const wanted = new Set(found.map(({ id, part }) => `${id} ${part}`));
  const done = new Set<string>();
  const words = replacer(pattern, to);
  return wordedIn(course).flatMap(({ id, part, reworded, was }): Operation[] => {
    // Two lessons may lead to one objective.
    if (!wanted.has(`${id} ${part}`) || done.has(`${id} ${part}`)) return [];
    done.add(`${id} ${part}`);
    return Object.entries(reworded(words)).flatMap(([field, value]) =>
      sameData(value, was[field]) || (value === '' && field !== 'purpose')
        ? []
        : [{ type: 'set', id, field, value, was: was[field] }],
    );
  });
}

/** All that has words in a course, in its order. */
function wordedIn(course: Course): Worded[] {
  const objectives = new Map(course.objectives.map((objective) => [objective.id, objective]));
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  const placed = new Set<string>();
  const line = (node: object & { id: string }, row: string, part: FoundWords['part'], field: string): Worded => {
    const was = node as Record<string, unknown> & { id: string };
    const text = String(was[field]);
    return { id: was.id, row, part, text, was, reworded: ({ put }) => ({ [field]: put(text).trim() }) };
  };
  const inOrder = course.modules.flatMap((module): Worded[] => [
    line(module, module.id, 'title', 'title'),
    line(module, module.id, 'purpose', 'purpose'),
    ...module.lessons.flatMap((lesson): Worded[] => [
      line(lesson, lesson.id, 'title', 'title'),
      ...lesson.objectiveIds.flatMap((id) => {
        const objective = objectives.get(id);
        return objective ? [line(objective, lesson.id, 'can', 'text')] : [];
      }),
      ...lesson.blocks.flatMap((block): Worded[] => {
        const asked = checkIn(block);
        if (asked === undefined) return [page(block, lesson.id)];
        const check = checks.get(asked);
        if (!check || placed.has(check.id)) return [];
        placed.add(check.id);
        return [question(check, lesson.id)];
      }),
    ]),
  ]);
  return [...inOrder, ...course.checks.filter(({ id }) => !placed.has(id)).map((check) => question(check))];
}

function page(block: Block, row: string): Worded {
  const form = formOf(block);
  return {
    id: block.id,
    row,
    part: 'page',
    text: plainText(block),
    was: block as unknown as Record<string, unknown>,
    reworded({ ranges, put }) {
      const texts = mapBlockTexts(block, (text) => applyChanges(text, ranges(textOf(text)))).body;
      return { body: form.mapPlain?.(texts, kept(put)) ?? texts };
    },
  };
}

function question(check: Check, row?: string): Worded {
  return {
    id: check.id,
    ...(row && { row }),
    part: 'check',
    text: wordsAsked(check),
    was: check as unknown as Record<string, unknown>,
    reworded: ({ put }) => rewordedFields(check, kept(put)) as Record<string, unknown>,
  };
}

/** What would have no letters left stays as it is. */
const kept = (put: (words: string) => string) => (words: string) => put(words).trim() || words;

/** Every word of a check that its author can word otherwise. */
function wordsAsked(check: Check): string {
  const lines: string[] = [];
  rewordedFields(check, (words) => {
    lines.push(words);
    return words;
  });
  return lines.join('\n');
}

/** Where words are looked for, and what comes in their place. */
interface Replacer {
  ranges(text: string): Rewording[];
  put(text: string): string;
}

function replacer(pattern: RegExp, to: string): Replacer {
  const ranges = (text: string): Rewording[] =>
    [...text.matchAll(pattern)].map(({ 0: words, index }) => {
      const end = index + words.length;
      // Where words went, no gap stays.
      const gap = to === '' && text[end] === ' ' && (index === 0 || text[index - 1] === ' ');
      return { from: index, to: gap ? end + 1 : end, with: to };
    });
  return {
    ranges,
    put: (text) =>
      ranges(text).reduceRight(
        (words, { from, to: end, with: put }) => words.slice(0, from) + put + words.slice(end),
        text,
      ),
  };
}

function patternOf({ words, whole, cased }: Sought): RegExp | undefined {
  if (words.trim() === '') return undefined;
  const plain = words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
  return new RegExp(whole ? String.raw`(?<![\p{L}\p{N}])${plain}(?![\p{L}\p{N}])` : plain, cased ? 'gu' : 'giu');
}
