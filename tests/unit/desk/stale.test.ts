import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { takeOutline } from '../../../core/course/taking';
import { evidencedSentences, replay, sentenceHash } from '../../../core/document/rich-text';
import { blockTexts } from '../../../core/blocks/forms';
import { validateCourse } from '../../../core/course/validate';
import { meaningFor } from '../../../server/words/newer';
import { aBriefInput, aChange, anInstallation, INES } from '../../data';
import { startDrafting } from '../../../server/jobs/drafting';

const { folder, desk } = anInstallation();
const TEXT = `# Returns

## Checking

When a tool comes back, the volunteer must check its tag before anything else is said. A check takes 40 seconds. If there are more than five people in the queue, ask the desk lead to open the second counter.

The volunteer must look at the cable, the plug and the guard of every tool with a motor. If the cable is cut, the volunteer must hang a red tag on the tool and put it into the repair box.

## Drying

If a tool is wet, the volunteer must dry it before it goes to the shelf. Wet tools rust within two days, and then they are weighed and sold.

Cloths hang beside the door. A wet cloth must go to the line in the yard on the same evening, because it smells on the next day.
`;
/** Every sentence of a course with the words its evidence has in the sources as they are. */
function sentences(id: string) {
  const passages = new Map(
    desk.sources
      .keys(id)
      .flatMap((key) =>
        desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const),
      ),
  );
  return allLessons(desk.courses.load(id).course)
    .flatMap((lesson) => lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences)))
    .map(({ mark, text }) => ({
      text,
      now: replay(mark.attrs.passages, (passage) => passages.get(passage)),
      asDrafted: sentenceHash(text) === mark.attrs.was,
    }));
}

describe('a newer version of a source', () => {
  it('takes along what it left as it was, and marks what it changed or dropped', async () => {
    const id = desk.courses.create('Returns', aBriefInput(), INES);
    const path = join(folder, 'returns.md');
    writeFileSync(path, TEXT);
    await desk.sources.addFile(id, path, 'returns.md', INES);
    const { nodes } = await desk.drafter.ask('outline', {
      course: desk.courses.load(id).course,
      sources: desk.sources.keys(id),
    });
    desk.courses.post(
      id,
      takeOutline(desk.courses.load(id).course, nodes).map((operation) => aChange(operation)),
      0,
    );
    startDrafting(
      desk,
      id,
      allLessons(desk.courses.load(id).course).map((lesson) => lesson.id),
      INES,
    );
    await desk.jobs.idle();
    await desk.search.filled();
    expect(desk.stale.of(id)).toEqual([]);
    const all = sentences(id).length;
    expect(all).toBeGreaterThan(3);

    writeFileSync(
      path,
      TEXT.replace('A check takes 40 seconds.', 'A check takes 60 seconds.').replace(
        /If a tool is wet.*sold\.\n/,
        'Nobody is here on Sunday, and the door stays shut.\n',
      ),
    );
    const newer = await desk.sources.addNewer(id, desk.sources.keys(id)[0].id, path, 'returns.md', INES);
    if ('problem' in newer || newer.same) throw new Error('nothing newer');
    desk.stale.follow(id, INES, newer.change);
    const { course } = desk.courses.load(id);
    expect(validateCourse(course)).toEqual([]);
    // What was left as it was stands on the newer version, letter by letter.
    const followed = sentences(id).filter((sentence) => sentence.now === sentence.text);
    expect(followed.map((sentence) => sentence.text)).toEqual(
      expect.arrayContaining([
        expect.stringContaining('must check its tag'),
        expect.stringContaining('more than five people'),
      ]),
    );
    expect(followed.every((sentence) => sentence.asDrafted)).toBe(true);
    const stale = desk.stale.of(id);
    const changed = stale.find((each) => each.after)!;
    expect(changed.now).toEqual([expect.objectContaining({ text: 'A check takes 60 seconds.' })]);
    expect(stale.filter((each) => !each.after).length).toBeGreaterThan(0);
    const meaning = meaningFor(course, newer);
    expect(meaning.same === false && meaning.sentences).toBe(all - followed.length);
    // The lessons are planned from what their passages became.
    const here = new Set(
      desk.sources.inCourse(id, desk.sources.keys(id)[0].id)!.source.passages.map((passage) => passage.id),
    );
    expect(
      allLessons(course).some((lesson) =>
        lesson.plannedPassages.some((passage) => here.has(passage) && passage === changed.after!.id),
      ),
    ).toBe(true);
    // Taken back, the sentences are stale, and nothing is lost.
    desk.courses.takeBack(id, INES, 0, 'undo');
    expect(desk.stale.of(id).find((each) => each.after)!.now.length).toBeGreaterThan(1);
  });

  it('alarms nobody about a source that was taken off', async () => {
    const [row] = desk.courses.list(INES);
    const [key] = desk.sources.keys(row.id);
    desk.sources.detach(row.id, key.id);
    expect(desk.stale.of(row.id)).toEqual([]);
  });
});
