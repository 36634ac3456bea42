import { describe, expect, it } from 'vitest';
import { evidencedSentences, textOf } from '../../core/document/rich-text';
import { passageBlock } from '../../core/source/on-page';
import { cellRanges } from '../../core/source/cells';
import { anId, fromMarkdown } from '../builders';

const SOURCE =
  '# Prices\n\nA permit lasts **one year**.\n\n| Permit | Price | Note |\n|---|---|---|\n| First | £45 | |\n| 45 | £45 | per person |\n\n    print --again\n';

describe('a passage as a block', () => {
  it('is a table with its header for a row, each cell on its own words, empty ones on none', async () => {
    const { passages } = await fromMarkdown(SOURCE);
    const rows = passages.filter((passage) => passage.table);
    const block = passageBlock(rows[0], anId('b'));
    if (block.kind !== 'table') throw new Error(block.kind);
    expect(block.body.header.map(textOf)).toEqual(['Permit', 'Price', 'Note']);
    expect(block.body.rows.map((row) => row.map(textOf))).toEqual([['First', '£45', '']]);
    for (const cell of block.body.rows[0].slice(0, 2)) {
      const [{ mark, text }] = evidencedSentences(cell);
      const [range] = mark.attrs.passages;
      expect(rows[0].text.slice(range.from, range.to)).toBe(text);
    }
    // The same words in two cells are told apart by their place.
    expect(cellRanges(rows[1]).map(({ from, to }) => rows[1].text.slice(from, to))).toEqual([
      '45',
      '£45',
      'per person',
    ]);
    expect(new Set(cellRanges(rows[1]).map(({ from }) => from)).size).toBe(3);
  });

  it('is code for code, and a paragraph with its marks for anything else', async () => {
    const { passages } = await fromMarkdown(SOURCE);
    expect(
      passageBlock(
        passages.find((each) => each.kind === 'code')!,
        anId('b'),
      ),
    ).toMatchObject({ kind: 'code', body: { code: 'print --again' }, evidence: [{ from: 0 }] });
    const block = passageBlock(passages[0], anId('b'));
    expect(
      block.kind === 'text' && block.body.text.map((run) => [run.text, run.marks!.map((mark) => mark.type)]),
    ).toEqual([
      ['A permit lasts ', ['evidence']],
      ['one year', ['evidence', 'strong']],
      ['.', ['evidence']],
    ]);
  });
});
