import { describe, expect, it } from 'vitest';
import { roughWords } from '../../core/source/words';
import type { ReadBlock } from '../../core/source/blocks';
import { headingNumber, settledLevels } from '../../core/source/headings';
import { joinRuns, visible } from '../../core/source/inline';
import { allSections } from '../../core/source/source';
import { renamedSource } from '../../core/source/assemble';
import { validateSource } from '../../core/source/validate';
import { aSource, anId, fromFile } from '../builders';

const p = (text: string): ReadBlock => ({ kind: 'paragraph', text });
const h = (level: number, text: string): ReadBlock => ({ kind: 'heading', level, text });
const item = (text: string, depth = 0, key = 'l'): ReadBlock => ({
  kind: 'item',
  text,
  list: { key, ordered: false, depth },
});
const tree = (blocks: ReadBlock[]) =>
  allSections(aSource(blocks).root)
    .slice(1)
    .map((section) => `${'-'.repeat(section.level)}${section.number ? `[${section.number}]` : ''}${section.title}`);

describe('heading numbers', () => {
  it.each([
    ['3.2. Booking', '3.2', 'Booking', 2],
    ['3.2 Booking', '3.2', 'Booking', 2],
    ['Chapter 4. The desk', '4', 'The desk', 1],
    ['Appendix B. Forms', 'B', 'Forms', 1],
    ['A.1. Scope', 'A.1', 'Scope', 2],
    ['Kapitel 2: Der Anfang', '2', 'Der Anfang', 1],
    ['1.4.2.1 Deep', '1.4.2.1', 'Deep', 4],
    ['第1章 全般', '1', '全般', 1],
    ['§ 5 Fees', '5', 'Fees', 1],
  ])('%s', (heading, number, title, depth) => expect(headingNumber(heading)).toEqual({ number, title, depth }));

  it.each(['Booking', '10 things to know', '2026 in figures at a glance'.toLowerCase(), 'Part time work'])(
    '%s has none',
    (heading) => expect(headingNumber(heading)).toBeUndefined(),
  );

  it('settle levels where most headings carry them, whatever the sizes said', () => {
    const said = [
      [1, '1. One'],
      [1, '1.1. Below'],
      [3, 'Rationale'],
      [2, '2. Two'],
      [1, '2.1. Below'],
    ] as const;
    expect(settledLevels(said.map(([level, text]) => ({ level, text })))).toEqual([1, 2, 3, 1, 2]);
  });
});

describe('assembling a source', () => {
  it('builds the tree of sections without gaps, and takes the first sole heading for the title', () => {
    expect(tree([h(1, 'Guide'), p('Words.'), h(3, 'Part'), h(5, 'Detail'), p('x'), h(3, 'Next')])).toEqual([
      '-Part',
      '--Detail',
      '-Next',
    ]);
    expect(aSource([h(1, 'Guide'), h(2, 'Part'), p('x')]).title).toBe('Guide');
  });

  it('ties lists, tables and code to the passage that introduces them, and deeper items to their item', () => {
    const source = aSource([
      p('You must:'),
      item('check'),
      item('the plug', 1),
      p('Done.'),
      p('Run this:'),
      { kind: 'code', text: 'x' },
    ]);
    const [lead, first, deeper, , runThis, code] = source.passages;
    expect(first.leadIn).toBe(lead.id);
    expect(deeper.leadIn).toBe(first.id);
    expect(code.leadIn).toBe(runThis.id);
  });

  it('gives ids that survive moving, renumbering and changes elsewhere', () => {
    const before = aSource([h(1, 'A'), p('One.'), h(1, 'B'), p('2. Two words.')]);
    const after = aSource([h(1, 'B'), p('3. Two words.'), p('Something new.'), h(1, 'A'), p('One.')]);
    const id = (source: typeof before, text: RegExp) => source.passages.find((passage) => text.test(passage.text))!.id;
    expect(id(after, /Two/)).toBe(id(before, /Two/));
    expect(id(after, /One/)).toBe(id(before, /One/));
  });

  it('tells passages apart that say the same', () => {
    const ids = aSource([h(1, 'A'), p('Same.'), h(1, 'B'), p('Same.'), p('Same.')]).passages.map(
      (passage) => passage.id,
    );
    expect(new Set(ids).size).toBe(3);
  });

  it('takes prose that is all set as quotations for prose', () => {
    expect(aSource([{ kind: 'quote', text: 'A long answer in a quotation.' }, p('x')]).passages[0].kind).toBe(
      'paragraph',
    );
  });

  it('turns a lone "Warning" and a leading "Note:" into callouts', () => {
    const source = aSource([h(2, 'Care'), p('Warning'), p('Hot.'), p('Note: Wait.'), p('Plain.')]);
    expect(source.passages.map((passage) => [passage.text, passage.callout])).toEqual([
      ['Hot.', 'warning'],
      ['Wait.', 'note'],
      ['Plain.', undefined],
    ]);
  });

  it('counts words of scripts with and without spaces', () => {
    expect(roughWords("It's 3 o'clock – now.")).toBe(4);
    expect(roughWords("It's 3 o'clock -- now,\tat (once).")).toBe(6);
    expect(roughWords('状態レポート')).toBe(3);
  });
});

describe('inline text', () => {
  it('joins runs with marks on exact offsets', () => {
    expect(
      joinRuns([
        { text: '  The ' },
        { text: 'red', kinds: ['strong'] },
        { text: ' tag', kinds: ['strong'] },
        { text: '\n  is  on.' },
      ]),
    ).toEqual({ text: 'The red tag is on.', marks: [{ from: 4, to: 11, kind: 'strong' }] });
  });

  it('drops what nobody can see', () => expect(visible('a\u202eb\u200bc\u0000d\u00ade')).toBe('abcde'));
});

describe('a source that came from elsewhere', () => {
  const files = [
    'lending-policy.docx',
    'battery-guide.pdf',
    'front-desk-shift.pptx',
    'twelve-years-at-the-desk.vtt',
    'questions.html',
    'coordinators-notes.md',
  ];

  it.each(files)('%s is good as read, and comes back the same from another name', async (name) => {
    const source = await fromFile(`demo/files/${name}`);
    expect(validateSource(source)).toEqual([]);
    const { source: other, ids } = renamedSource(source, anId('another'));
    expect(validateSource(other)).toEqual([]);
    expect(other.version).toBe(source.version);
    for (const passage of source.passages) expect(ids.get(passage.id)).not.toBe(passage.id);
    expect(renamedSource(other, source.id).source).toEqual(source);
  });

  it('is refused with what is wrong: an id that stands twice, words its version is not of', () => {
    const source = aSource([p('Return it by noon.'), p('Fees are due.')]);
    const [first, second] = source.passages;
    expect(validateSource({ ...source, passages: [first, { ...second!, id: first!.id }] })).not.toEqual([]);
    expect(validateSource({ ...source, passages: [{ ...first!, text: 'Return it whenever.' }, second] })).not.toEqual(
      [],
    );
  });
});
