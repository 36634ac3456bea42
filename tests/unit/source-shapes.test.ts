import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pageOperations } from '../../core/course/lesson-changes';
import { applyAll } from '../../core/course/operations';
import type { Block } from '../../core/blocks/forms';
import type { ReadBlock } from '../../core/source/blocks';
import { readRow, withoutStart } from '../../core/source/blocks';
import { settleClauses } from '../../core/source/clauses';
import { settleCallouts } from '../../core/source/callouts';
import { readText } from '../../core/reading/text';
import { aCourse, anId, aText, bytes } from '../builders';

const p = (text: string): ReadBlock => ({ kind: 'paragraph', text });

describe('clause numbers', () => {
  it('go from the text to the place where several paragraphs carry one; marks move along', () => {
    const marked: ReadBlock = {
      kind: 'paragraph',
      text: '4.2 Ring the bell.',
      marks: [{ from: 4, to: 8, kind: 'strong' }],
    };
    const settled = settleClauses([p('4.1 Check the slip.'), marked, p('A.3 Sign it.'), p('No number here.')]);
    expect(settled).toEqual([
      { kind: 'paragraph', text: 'Check the slip.', clause: '4.1' },
      { kind: 'paragraph', text: 'Ring the bell.', clause: '4.2', marks: [{ from: 0, to: 4, kind: 'strong' }] },
      { kind: 'paragraph', text: 'Sign it.', clause: 'A.3' },
      p('No number here.'),
    ]);
  });
  it.each([
    ['figures that begin a sentence', ['2.5 litres are enough.', 'It takes 3.5 hours.']],
    ['one number alone', ['4.1 Check the slip.', 'Sign it.']],
    ['versions', ['1.2 is old.', '1.3 is newer.', '1.4 is newest.']],
  ])('leave %s', (_, texts) => expect(settleClauses(texts.map(p))).toEqual(texts.map(p)));
});

describe('callouts', () => {
  it('lose the word that their mark says, and nothing else', () => {
    const settled = settleCallouts([
      p('Warning: the pack is hot.'),
      p('Tip! Wipe it first.'),
      p('Rule: the pack is hot.'),
      { kind: 'item', text: 'Note: on Sundays', list: { key: 'k', ordered: false, depth: 0 } },
    ]);
    expect(settled.map((block) => [(block as { text: string }).text, (block as { callout?: string }).callout])).toEqual(
      [
        ['the pack is hot.', 'warning'],
        ['Wipe it first.', 'tip'],
        ['Rule: the pack is hot.', undefined],
        ['on Sundays', 'note'],
      ],
    );
  });
  it('cut marks that lie in what is cut', () =>
    expect(
      withoutStart({ kind: 'paragraph', text: 'Note: now', marks: [{ from: 0, to: 5, kind: 'strong' }] }, 6),
    ).toEqual({ kind: 'paragraph', text: 'now', marks: [] }));
});

describe('rows', () => {
  it('say their filled cells', () =>
    expect(readRow('t', ['A', 'B', 'C'], ['1', '', '3'], { page: 4 })).toEqual({
      kind: 'row',
      text: '1 | 3',
      table: { key: 't', header: ['A', 'B', 'C'], cells: ['1', '', '3'] },
      page: 4,
    }));
});

describe('plain text of offices', () => {
  const kinds = (text: string) =>
    readText(bytes(text)).blocks.map((block) => `${block.kind}: ${'text' in block ? block.text : ''}`);
  it('has drawn tables, with and without outer lines, behind the line that introduces them', () => {
    const bordered = '| Day | Who |\n|-----|-----|\n| Mon | Ines |\n| Tue | Tom |\n';
    expect(kinds(`Plan\n\n${bordered}`)).toEqual(['row: Mon | Ines', 'row: Tue | Tom']);
    expect(kinds('Plan\n\nWho opens the desk:\nDay | Who\nMon | Ines\nTue | Tom\n')).toEqual([
      'paragraph: Who opens the desk:',
      'row: Mon | Ines',
      'row: Tue | Tom',
    ]);
  });
  it('keeps a line with one bar as text', () =>
    expect(kinds('Plan\n\nUse cat | sort here.\n')).toEqual(['paragraph: Use cat | sort here.']));
  it('takes a number that goes on from both a list and the headings for a heading', () => {
    const text =
      'Plan\n\n1. Opening\n\nThe desk opens at nine on every weekday of the year.\n\n2. Steps of the day\n\nDo this in order.\n\n1. Open the desk\n\n2. Count the till\n\n3. Closing\n\nSwitch everything off when the last member has gone.\n';
    expect(kinds(text).filter((kind) => kind.startsWith('heading'))).toContain('heading: 3. Closing');
  });
  it('tells lists from the headings they look like', () => {
    expect(
      kinds(
        'Plan\n\n1. Open the desk\n\n2. Count the till\n\n3. Read the log\n\nThen the day begins for everybody at the desk.\n',
      ).filter((kind) => kind.startsWith('heading')),
    ).toEqual([]);
    expect(
      kinds(
        'Plan\n\n1. Opening\n\n1.1 Open the desk and count the till before anybody comes in.\n\n1.2 Read the log of the day before and sign it.\n\n1.3 Switch the chargers on.\n\n2. Closing\n\nSwitch everything off.\n',
      ).filter((kind) => kind.startsWith('heading')),
    ).toEqual(['heading: 1. Opening', 'heading: 2. Closing']);
  });
});

describe('a page changed in any way', () => {
  it('is made of the one before by its operations', () => {
    const block = (number: number, text: string): Block => aText(`b${number}`, text);
    const page = fc
      .uniqueArray(fc.tuple(fc.nat(9), fc.string({ minLength: 1, maxLength: 6 })), {
        selector: ([number]) => number,
        maxLength: 8,
      })
      .map((list) => list.map(([number, text]) => block(number, text)));
    fc.assert(
      fc.property(page, page, (before, after) => {
        const course = aCourse();
        course.modules[0].lessons[0].blocks = before;
        const applied = applyAll(course, pageOperations(anId('First one'), before, after));
        expect(applied.ok && applied.course.modules[0].lessons[0].blocks).toEqual(after);
      }),
      { numRuns: 300 },
    );
  });
});
