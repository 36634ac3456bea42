import { describe, expect, it } from 'vitest';
import type { Knowledge } from '../../../core/knowledge';
import { understand } from '../../../core/knowledge';
import { allSections } from '../../../core/source/source';
import { facetsOf, facetsOfText } from '../../../core/unit/facets';
import { unitsOf } from '../../../core/unit/units';
import { packFor } from '../../../server/language/packs';
import { fromFile, knowing } from '../../builders';

const textOf = (knowledge: Knowledge, ids: readonly string[]) =>
  ids.map((id) => knowledge.passages.get(id)!.text).join(' / ');
const cut = async (text: string) => {
  const knowledge = await knowing(text);
  return unitsOf(knowledge).units.map((unit) => ({ ...unit, text: textOf(knowledge, unit.passages) }));
};

describe('units', () => {
  it.each([
    'demo/files/lending-policy.docx',
    'demo/files/battery-guide.pdf',
    'demo/files/front-desk-shift.pptx',
    'demo/files/twelve-years-at-the-desk.vtt',
    'demo/files/questions.html',
    'demo/files/coordinators-notes.md',
    'eval/documents/travel-policy.md',
    'eval/documents/allergen-guide.md',
    'eval/documents/lone-working.txt',
    'eval/documents/medicine-round.md',
    'eval/documents/parking-permits.md',
    'eval/documents/sample-courier.md',
  ])('hold every passage of %s once, and in order give it back', async (path) => {
    const source = await fromFile(path);
    const knowledge = understand(source, packFor(source.language));
    const { units } = unitsOf(knowledge);
    expect(units.flatMap((unit) => unit.passages)).toEqual(
      allSections(source.root).flatMap((section) => section.passages),
    );
    expect(new Set(units.map((unit) => unit.id)).size).toBe(units.length);
    for (const unit of units)
      for (const relation of unit.relations) expect(units.some((other) => other.id === relation.to)).toBe(true);
  });

  it('are a procedure with its lead-in, its sub-steps, its code and the note behind it', async () => {
    const [unit, ...rest] = await cut(
      '# A\n\n## Change the roll\n\nTo change the roll, follow these steps:\n\n1. Open the door.\n   - Wait for two beeps.\n2. Type this and press OK.\n\n   ```\n   feed 2\n   ```\n3. Close the door.\n\n> **Note:** do not open the upper door.\n',
    );
    expect(unit.kind).toBe('procedure');
    expect(unit.text).toMatch(/^To change the roll.*Wait for two beeps.*feed 2.*Close the door\./);
    expect([unit, ...rest].map((each) => each.text).join(' ')).toContain('do not open the upper door');
    expect(rest.filter((each) => each.kind === 'procedure')).toEqual([]);
  });

  it.each([
    ['a list with what introduces it', 'Three things are never repaired:\n\n- ovens\n- medical devices\n', 'list', 3],
    [
      'a table with what introduces it',
      'What to do with a reading:\n\n| Reading | Do |\n|---|---|\n| low | raise |\n| high | stop |\n',
      'table',
      3,
    ],
    ['a question with its whole answer', '**May I refuse?** Yes. You need not give a reason.\n', 'question', 1],
    ['a warning', '**In an emergency:** leave and call the fire service.\n', 'warning', 1],
    ['a paragraph that states rules', 'Every tag must be tied to its saw before noon.\n', 'rule', 1],
    ['any other paragraph', 'The hall was built when the town was young.\n', 'paragraph', 1],
  ] as const)('are %s', async (_, text, kind, count) => {
    const [unit] = await cut(`# A\n\n## B\n\n${text}\n## C\n\nMore of it.\n`);
    expect(unit).toMatchObject({ kind });
    expect(unit.passages).toHaveLength(count);
  });

  it('are the whole answer under a heading that asks', async () => {
    const [unit] = await cut(
      '# A\n\n## What do we never repair?\n\nThree things:\n\n- ovens\n- batteries\n\nChargers are sent home, too.\n\n## Rest\n\nMore of it.\n',
    );
    expect(unit.kind).toBe('question');
    expect(unit.text).toMatch(/ovens.*Chargers are sent home/);
  });

  it.each([
    ['There the coach counts.\n\nAn exception is the club evening.', 'exception'],
    ['The saw is locked away.\n\nThis keeps it from being lost.', 'continues'],
    ['The saw is locked away.\n\nFor example, last winter a saw was left on the bench.', 'example'],
  ])('know what they are to the one before', async (text, kind) => {
    const units = await cut(`# A\n\n## B\n\n${text}\n\n## C\n\nMore of it.\n`);
    expect(units[1].relations).toEqual([{ kind, to: units[0].id }]);
  });
});

describe('what a claim must not be missed for', () => {
  it.each([
    ['The pool holds at most 110 bathers at any time.', 'limit'],
    ['Guests must not change the settings of the pump.', 'prohibition'],
    ['You must report the loss within two days.', 'deadline'],
    ['You must lock the door unless the desk lead stays.', 'exception'],
    ['You must call the fire brigade in an emergency.', 'emergency'],
    ['Il faut évacuer la salle.', 'emergency'],
    ['ÉVACUEZ LA SALLE.', 'emergency'],
  ])('%s: %s', async (text, facet) => {
    const { claims, pack } = await knowing(`# A\n\n## B\n\n${text}\n`);
    expect([...claims.flatMap((claim) => facetsOf(claim, pack)), ...facetsOfText(text, pack)]).toContain(facet);
  });
});
