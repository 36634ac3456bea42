import { describe, expect, it } from 'vitest';
import { linesOf, type TextItem } from '../../../core/reading/pdf/lines';
import { tableAt } from '../../../core/reading/pdf/table';

/** A page's pieces: rows of [x, y, text], ten points high. */
const page = (...pieces: [x: number, y: number, text: string][]) =>
  linesOf(
    pieces.map(([x, y, str]): TextItem => ({
      str,
      transform: [10, 0, 0, 10, x, y],
      width: str.length * 5,
      height: 10,
      fontName: 'f',
    })),
    1,
    new Map(),
  );
const table = (...pieces: [number, number, string][]) => tableAt(page(...pieces), 0, () => false);

describe('tables of a PDF', () => {
  it('whose long cells stand around the middle of their row are put together row by row', () => {
    expect(
      table(
        [60, 400, 'Tool'],
        [150, 400, 'Days'],
        [230, 400, 'What to look at'],
        [60, 380, 'Saw'],
        [150, 380, '7'],
        [230, 386, 'The blade, the guard and'],
        [230, 374, 'the cable of every one'],
        [60, 356, 'Ladder'],
        [150, 356, '3'],
        [230, 356, 'The foot'],
        [60, 338, 'Angle grinder'],
        [150, 332, '1'],
        [230, 332, 'The disc'],
      ),
    ).toEqual({
      lines: 7,
      header: ['Tool', 'Days', 'What to look at'],
      rows: [
        ['Saw', '7', 'The blade, the guard and the cable of every one'],
        ['Ladder', '3', 'The foot'],
        ['Angle grinder', '1', 'The disc'],
      ],
    });
  });
  it('whose heads stand close together are cut at their columns', () => {
    const close = table(
      [60, 400, 'Tool'],
      [150, 400, 'Days lent'],
      [200, 400, 'Fee'],
      [60, 386, 'Saw'],
      [150, 386, '7'],
      [200, 386, 'two'],
      [60, 372, 'Drill'],
      [150, 372, '5'],
      [200, 372, 'three'],
      [60, 358, 'Ladder'],
      [150, 358, '3'],
      [200, 358, 'four'],
    );
    expect(close?.header).toEqual(['Tool', 'Days lent', 'Fee']);
    expect(close?.rows).toHaveLength(3);
  });
  it('whose cells go on below stay as they were', () => {
    expect(
      table(
        [60, 400, 'Light'],
        [200, 400, 'Meaning'],
        [60, 386, 'Green'],
        [200, 386, 'The pack is'],
        [200, 374, 'full'],
        [60, 356, 'Red'],
        [200, 356, 'It is hot'],
        [60, 338, 'None'],
        [200, 338, 'It is empty'],
      )?.rows,
    ).toEqual([
      ['Green', 'The pack is full'],
      ['Red', 'It is hot'],
      ['None', 'It is empty'],
    ]);
  });
  it('are none where lines only happen to begin alike', () => {
    expect(table([60, 400, 'A paragraph goes on'], [60, 388, 'and on, and'], [60, 376, 'ends.'])).toBeUndefined();
  });
});
