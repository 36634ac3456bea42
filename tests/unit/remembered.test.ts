import { describe, expect, it, vi } from 'vitest';
import { remembered } from '../../server/utils/remembered';

describe('what is remembered', () => {
  it('is made once, and the longest unused goes first', () => {
    const kept = remembered<string>({ most: 2 });
    const make = vi.fn((key: string) => key.toUpperCase());
    const of = (key: string) => kept.of(key, () => make(key));
    expect([of('a'), of('b'), of('a'), of('c'), of('a'), of('b')]).toEqual(['A', 'B', 'A', 'C', 'A', 'B']);
    expect(make.mock.calls.map(([key]) => key)).toEqual(['a', 'b', 'c', 'b']);
  });

  it('is no heavier together than allowed, but for the newest alone', () => {
    const kept = remembered<number>({ most: 9, weigh: (each) => each, weight: 10 });
    const make = vi.fn((value: number) => value);
    const of = (value: number) => kept.of(String(value), () => make(value));
    [4, 5, 4, 5, 3, 5, 4, 20, 20, 3].forEach(of);
    // 3 drives out 4, 4 drives out 3, 20 all, and 3 that again.
    expect(make.mock.calls.map(([value]) => value)).toEqual([4, 5, 3, 4, 20, 3]);
  });

  it('forgets on demand, and keeps nothing of what is not there', () => {
    const kept = remembered<number>({ most: 2, weigh: (each) => each, weight: 3 });
    expect(kept.of('a', () => undefined)).toBeUndefined();
    expect(kept.of('a', () => 3)).toBe(3);
    kept.forget('a');
    kept.forget('a');
    expect(kept.of('a', () => 2)).toBe(2);
    expect(kept.of('b', () => 1)).toBe(1);
    expect(kept.of('a', () => 9)).toBe(2);
  });
});
