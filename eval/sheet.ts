import { blockTexts } from '../core/blocks/forms';
import { checkText } from '../core/checks/forms';
import { allLessons } from '../core/course/course';
import { shortHash } from '../core/document/id';
import { evidencedSentences } from '../core/document/rich-text';
import type { Measured } from './measure';

/**
 * Items of one kind to read, drawn by the letters of their own words: the same every time, and in no order of theirs.
 */
function sample<Item>(items: readonly Item[], most: number, textOf: (item: Item) => string): Item[] {
  const drawn = (item: Item) => shortHash(`sheet|${textOf(item)}`, 12);
  return [...items].sort((a, b) => (drawn(a) < drawn(b) ? -1 : 1)).slice(0, most);
}

/**
 * A sheet to read a draft by: titles, sentences in their place, questions with the key apart, each with a box to mark.
 */
export function readingSheet(name: string, { draft }: Measured, most: number): string {
  const lessons = allLessons(draft.course);
  const titles = sample(lessons, most, (lesson) => lesson.title).map((lesson) => `- [ ] ${lesson.title}`);
  const sentences = sample(
    lessons.flatMap((lesson) =>
      lesson.blocks.flatMap((block, at) =>
        blockTexts(block)
          .flatMap(evidencedSentences)
          .map((sentence, place, all) => ({
            text: sentence.text,
            before:
              all[place - 1]?.text ?? (lesson.blocks[at - 1] ? `(${lesson.blocks[at - 1].kind})` : `(${lesson.title})`),
            kind: block.kind,
          })),
      ),
    ),
    most,
    (entry) => entry.text,
  ).map((entry) => `- [ ] ${entry.kind}: … ${entry.before.slice(-90)} **${entry.text}**`);
  const questions = sample(draft.course.checks, most, (check) => check.stem).map(
    (check) => `- [ ] (${check.drafted?.form}) ${checkText(check).replaceAll('\n', '\n      ')}`,
  );
  return `# ${name}\n\n## Titles (${titles.length})\n\n${titles.join('\n')}\n\n## Sentences (${sentences.length})\n\n${sentences.join('\n')}\n\n## Questions (${questions.length})\n\n${questions.join('\n\n')}\n`;
}
