import { describe, expect, it } from 'vitest';
import { blockTexts } from '../../core/blocks/forms';
import { allLessons } from '../../core/course/course';
import { textOf } from '../../core/document/rich-text';
import { draftCourse } from '../../core/draft';
import { understand } from '../../core/knowledge';
import { readSource } from '../../core/reading';
import { allSections } from '../../core/source/source';
import { packFor } from '../../server/language/packs';
import { aBrief, anId, bytes, knowing } from '../builders';

/** A policy as offices write them: numbered clauses, lettered duties, a drawn table. */
const POLICY = `GREYWATER BOATHOUSE

Hiring out rowing boats: policy

1. Purpose

1.1 Rowing boats are hired out to members of the public from May to September. Most of them have never rowed before, and the river is colder than it looks.

1.2 This policy applies to the staff and the volunteers of the boathouse.

2. Before hiring out

2.1 Pier staff must:
(a) look over each boat for cracks and loose rowlocks;
(b) count the life jackets and try one buckle of each;
(c) write the boat's number on the hire slip.

2.2 Ask whether everybody can swim. If somebody cannot swim, hand out the jacket with the collar.

2.3 What to do when the wind rises:

Wind | Who decides | What happens
4 | pier lead | small boats come in
5 | manager | all boats come in
6 | manager | the pier is closed

3. After the hire

3.1 False alarms happen. A boat that is more than 20 minutes late must be looked for with the launch. If nobody has seen the boat within one hour, the manager must ring the river police.

3.2 Rinse the boat with clean water and turn it over on the rack, because standing water rots the boards. Dry the oars and hang them on the wall beside the office. A jacket that is wet must be hung in the drying room until the next morning.
`;

async function policy() {
  const result = await readSource({ name: 'policy.txt', bytes: bytes(POLICY) }, anId('policy'));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}

describe('a policy in plain text', () => {
  it('has its title behind who issued it, and numbered headings but no clause as heading', async () => {
    const source = await policy();
    expect(source.title).toBe('Hiring out rowing boats: policy');
    expect(
      allSections(source.root)
        .slice(1)
        .map((section) => section.title),
    ).toEqual(['Purpose', 'Before hiring out', 'After the hire']);
  });

  it('keeps clause numbers as places, not as words', async () => {
    const clause = (await policy()).passages.find((passage) => passage.locator.clause === '2.2')!;
    expect(clause.text).toMatch(/^Ask whether everybody can swim\./);
  });

  it('reads lettered duties as a list with its lead-in, and a drawn table as rows', async () => {
    const { passages } = await policy();
    const duties = passages.filter((passage) => passage.list);
    expect(duties.map((passage) => passage.text.slice(0, 12))).toEqual([
      'look over ea',
      'count the li',
      'write the bo',
    ]);
    expect(passages.find((passage) => passage.id === duties[0].leadIn)?.text).toBe('Pier staff must:');
    expect(passages.filter((passage) => passage.table).map((passage) => passage.table!.cells)).toEqual([
      ['4', 'pier lead', 'small boats come in'],
      ['5', 'manager', 'all boats come in'],
      ['6', 'manager', 'the pier is closed'],
    ]);
  });

  it('gives duties as a list and not as steps, and keeps a short sentence before the one it opens', async () => {
    const knowledge = understand(await policy(), packFor('en'));
    expect(knowledge.stepLists.size).toBe(0);
    const lessons = allLessons(draftCourse(aBrief(), [knowledge], 'Rowing boats').course);
    const words = lessons
      .flatMap((lesson) => lesson.blocks.flatMap((block) => blockTexts(block).map(textOf)))
      .join('\n');
    expect(words).toContain('False alarms happen. A boat');
    expect(words).toContain('Ask whether everybody can swim. If somebody cannot swim');
  });
});

describe('paragraphs in lessons', () => {
  const drafted = async (text: string) => {
    const filler = Array.from(
      { length: 8 },
      (_, at) =>
        `Volunteer number ${at + 3} must sweep the pier every evening before the gate is closed for the night.`,
    ).join('\n\n');
    const { course } = draftCourse(
      aBrief(),
      [await knowing(`# Pier\n\n## Evening\n\n${filler}\n\n## Questions people ask\n\n${text}\n`)],
      'Pier',
    );
    return allLessons(course)
      .flatMap((lesson) => lesson.blocks.flatMap((block) => blockTexts(block).map(textOf)))
      .join('\n');
  };

  it('keep an answer with its question, though it is no sentence', async () => {
    expect(
      await drafted(
        '**May I bring my dog?** Only on the pier, never in a boat. If a dog barks at the ducks, you must take it home. The pier lead has a bowl of water and a hook for the lead. Please bring a towel, because a wet dog must not sit on the cushions. Dogs that have been in the river must be rinsed at the tap beside the gate.',
      ),
    ).toContain('May I bring my dog? Only on the pier, never in a boat.');
  });

  it('keep question and answer though the answer speaks of the document', async () => {
    const words = await drafted(
      '**Do I need a licence?** No, as this handbook explains in its first part. You must bring a photo of yourself to the office.',
    );
    expect(words).toContain('You must bring a photo of yourself to the office.');
  });

  it('keep what something leans on, be it about the document', async () => {
    expect(await drafted('This document was written in winter. It tells you what you must do on the pier.')).toContain(
      'This document was written in winter. It tells you',
    );
  });

  it('know when one section sends the reader to another by its title', async () => {
    const knowledge = await knowing(
      '# A\n\n## Handling late boats\n\nRing the bell.\n\n## Other\n\nA late boat is looked for as described in Handling late boats.\n',
    );
    const sentence = [...knowledge.sentences.values()].flat().find((each) => each.text.startsWith('A late boat'));
    expect(sentence?.facts?.leaning).toBe('points-elsewhere');
  });
});
