import { describe, expect, it } from 'vitest';
import type { BriefOffers } from '../../core/brief/verdict';
import { briefOffers } from '../../core/draft/offers';
import { briefVerdicts } from '../../core/brief/verdict';
import { verdictWords } from '../../app/words/brief';
import { aBrief, knowing } from '../builders';

const SOURCE = `# The hall book

## Badges

The porter must hand out a badge before a guest goes in. The porter must collect day badges in the evening. Guests must wear the badge at the chest. Guests must not lend their badge to anybody.

## Parcels

To take in a parcel, follow these steps:

1. Weigh the parcel.
2. Write down its number.
3. Put it on the shelf.

If a parcel is wet, the porter must call the sender. If a parcel is heavier than 20 kg, the porter must use the trolley.

## History of the hall

The hall was built long ago by the river.
`;

describe('what sources offer a brief', () => {
  it('are who acts in them, what they teach most of with what stands behind it, how long, and what is apart', async () => {
    const brief = aBrief({
      promise: 'Parcels and badges are handled without a mistake',
      outcomes: ['Fewer wet parcels are sent back', 'Helicopters land on time'],
    });
    const offers = briefOffers(brief, [await knowing(SOURCE)], 'The hall');
    expect(offers.actors.slice(0, 2)).toEqual([
      { label: expect.stringMatching(/^porter$/i), rules: expect.any(Number) },
      { label: 'Guests', rules: 2 },
    ]);
    expect(offers.full).toBeGreaterThan(0.5);
    expect(offers.outcomes[0]).toMatchObject({
      text: 'Take in a parcel, step by step',
      lesson: expect.stringMatching(/^Parcels/),
    });
    expect(offers.outcomes[0].kinds.step).toBe(3);
    expect(offers.outcomes[0].first[0].text).toContain('parcel');
    expect(offers.apart).toEqual(['Helicopters land on time']);
    expect(offers.terms.map((term) => term.toLowerCase())).toContain('parcel');
  });

  it('are nothing without sources', () =>
    expect(briefOffers(aBrief(), [], 'Nothing')).toEqual({ full: 0, actors: [], outcomes: [], terms: [], apart: [] }));
});

describe('what a brief says back', () => {
  const offers: BriefOffers = {
    full: 40,
    actors: [{ label: 'porter', rules: 4 }],
    outcomes: [{ text: 'Take in a parcel', lesson: 'Parcels', kinds: {}, first: [] }],
    terms: ['badge', 'parcel'],
    apart: ['Helicopters land on time'],
  };
  const codes = (...given: Parameters<typeof briefVerdicts>) => briefVerdicts(...given).map(({ code }) => code);
  const who = { audience: { who: 'Porters', knows: [] } };

  it('asks for what is open, with what the sources offer for it', () => {
    expect(codes(aBrief(), offers)).toEqual(['promise-open', 'who-open', 'time-open', 'outcomes-open']);
    expect(verdictWords(briefVerdicts(aBrief(), offers)[0])).toContain('badge, parcel');
    expect(codes(aBrief())).toEqual(['promise-open', 'who-open', 'outcomes-open']);
  });

  it.each([
    [{ promise: 'You understand the badge system' }, 'promise-vague'],
    [{ promise: 'Sie kennen die Regeln' }, 'promise-vague'],
    [{ promise: Array.from({ length: 50 }, () => 'parcel').join(' ') }, 'promise-long'],
    [{ promise: 'Helicopters land on time' }, 'promise-apart'],
    [{ audience: { who: 'Everybody', knows: [] } }, 'who-all'],
    [{ size: { minutes: 10, questionsPerLesson: 1 } }, 'time-short'],
    [{ size: { minutes: 42, questionsPerLesson: 1 } }, 'time-fits'],
    [{ size: { minutes: 90, questionsPerLesson: 1 } }, 'time-long'],
    [{ outcomes: ['They know the rules'] }, 'outcome-vague'],
    [{ outcomes: ['Helicopters land on time'] }, 'outcome-apart'],
  ])('%j: %s', (changes, code) => {
    const verdicts = briefVerdicts(aBrief({ ...who, ...changes }), offers);
    expect(verdicts.map((verdict) => verdict.code)).toContain(code);
    for (const verdict of verdicts) expect(verdictWords(verdict)).toMatch(/[.:?]$/);
  });

  it('finds nothing wrong with a good one', () =>
    expect(
      briefVerdicts(
        aBrief({
          ...who,
          promise: 'You hand out badges so that nobody walks in unseen',
          outcomes: ['Fewer parcels are lost'],
          size: { minutes: 40, questionsPerLesson: 1 },
        }),
        offers,
      ).filter(({ good }) => !good),
    ).toEqual([]));
});
