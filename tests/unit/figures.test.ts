import { describe, expect, it } from 'vitest';
import { wrongFigures } from '../../core/check/forms/number/figures';

const shown = (value: number, written: string, id = 'caaaaaaaaaaaa', known: number[] = []) =>
  wrongFigures(value, known, id, written).slice(0, 3);

describe('wrong figures', () => {
  it.each([
    [24, '24 months', [6, 9, 12, 18, 36, 48]],
    [48, '48 hours', [12, 24, 36, 72, 96]],
    [14, '14 days', [5, 7, 10, 21, 28, 30]],
    [30, '30 minutes', [10, 15, 20, 45, 60, 90, 120]],
    [10, 'ten working days', [3, 5, 7, 14, 21, 28, 30]],
  ])('beside %d, %s, are lengths of time that people settle on', (value, written, settled) => {
    for (const id of ['caaaaaaaaaaaa', 'cabcdefghijkl', 'czzzyyyxxxwww']) {
      const wrong = shown(value, written, id);
      expect(wrong).toHaveLength(3);
      for (const other of wrong) expect(settled).toContain(other);
    }
  });

  it('are round ones for anything else, not so near that nobody would settle on them', () => {
    for (const value of [15, 25, 40, 90, 250, 4000]) {
      const wrong = shown(value, `£${value}`);
      expect(new Set(wrong).size).toBe(3);
      for (const other of wrong) {
        expect(Number.isInteger(other)).toBe(true);
        expect(Math.max(other, value) / Math.min(other, value)).toBeGreaterThanOrEqual(1.2);
      }
    }
  });

  it('are first those of the sources, and lie about the right one so that its place tells nothing', () => {
    expect(wrongFigures(60, [45, 61], 'caaaaaaaaaaaa', '60 per cent')).toEqual(expect.arrayContaining([45, 61]));
    const places = Array.from({ length: 200 }, (_, at) => {
      const wrong = shown(20, '20 minutes', `c${at}abcdefghij`);
      return wrong.filter((other) => other < 20).length;
    });
    for (const place of [0, 1, 2, 3]) expect(places.filter((each) => each === place).length).toBeGreaterThan(20);
  });
});
