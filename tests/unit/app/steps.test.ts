import { existsSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { mayOpen, STEPS } from '../../../app/steps';
import { aCourse } from '../../builders';

describe('the steps of the work', () => {
  const places = STEPS.flatMap((step) => [step, ...(step.parts ?? [])]);
  it('have a page each, and a key that no other has', () => {
    for (const { path } of places)
      expect(
        [`app/pages/course/[course]/${path}.vue`, `app/pages/course/[course]/${path}/index.vue`].some(existsSync),
        path,
      ).toBe(true);
    const keys = places.flatMap((place) => ('key' in place && place.key ? [place.key] : []));
    expect(new Set(keys).size).toBe(keys.length);
  });
  it('are offered to who may open them', () => {
    expect(STEPS.filter((step) => !mayOpen(step, 'reviewer')).map(({ label }) => label)).toEqual(['Results', 'People']);
    expect(STEPS.every((step) => mayOpen(step, 'author'))).toBe(true);
  });
  it('count what is in them', () => {
    const course = {
      ...aCourse(),
      answers: [
        { id: 'a', question: 'Q', text: ' ' },
        { id: 'b', question: 'Q', text: 'Yes' },
      ] as never,
    };
    const counts = Object.fromEntries(
      places.flatMap((place) => (place.count ? [[place.path, place.count({ course, sources: 3 })]] : [])),
    );
    expect(counts).toEqual({
      sources: 3,
      'sources/interview': 1,
      outline: 4,
      lessons: expect.any(Number),
      checks: 1,
      media: 0,
      bin: 0,
    });
  });
});
