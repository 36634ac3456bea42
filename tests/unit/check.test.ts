import { describe, expect, it } from 'vitest';
import { draftQuestions, questionPool, SHOWN_FROM } from '../../core/check';
import type { ChoiceCheck } from '../../core/checks/forms';
import type { Claim } from '../../core/knowledge';
import { english, knowing } from '../builders';

/** Questions of choice on some claims of a lesson without a page. */
const asked = (lesson: Claim[], course = lesson): ChoiceCheck[] =>
  draftQuestions('lesson0000', {
    pack: english(),
    title: 'The desk',
    blocks: [],
    lesson,
    course: questionPool(course, english()),
  }).flatMap((check) => (check.kind === 'choice' ? check : []));
const questions = async (text: string) => asked((await knowing(text)).claims);
const keyOf = (check: Awaited<ReturnType<typeof questions>>[number]) =>
  check.options.find((option) => option.id === check.key)!;

const RULES = `If a tool is damaged, put a blue tag on the handle.

When a member owes a fee, refuse the loan at once.

If a pack smells sweet, carry the bucket outside.

If two members want one saw, look into the reservation book.

If the scanner fails on a Saturday, write a slip by hand.
`;

const [TOOLS, STATES] = [
  'saw drill plane ladder sander jack winch torch',
  'damaged overdue wet borrowed stolen painted',
].map((words) => words.split(' '));
const DOINGS = [
  'put the tag on',
  'carry the bucket to',
  'look into',
  'write a slip for',
  'ring the keeper of',
  'close the valve behind',
  'sweep the floor around',
  'lock away',
];
const THINGS = [
  'the cupboard',
  'the yard gate',
  'the river bench',
  'the cellar stair',
  'the oil press',
  'the notice board',
];

describe('questions on conditions', () => {
  it("ask what to do, with other conditions' rules as wrong answers that say whose they are", async () => {
    const made = await questions(RULES);
    const damaged = made.find((check) => check.stem.startsWith('If a tool is damaged'))!;
    expect(damaged.stem).toBe('If a tool is damaged, what do you do?');
    expect(keyOf(damaged).text).toBe('Put a blue tag on the handle');
    expect(damaged.options).toHaveLength(4);
    for (const option of damaged.options) {
      const [quote] = option.feedback.quotes;
      expect(quote.text.toLowerCase()).toContain(option.text.toLowerCase());
      expect(option.feedback.code).toBe(option.id === damaged.key ? 'right' : 'other-case');
    }
  });

  it('are spread over a long lesson, and of one form no more than anybody looks through', async () => {
    const { claims } = await knowing(
      Array.from(
        { length: 48 },
        (_, at) =>
          `If a ${TOOLS[at % 8]} of berth ${at} is ${STATES[Math.floor(at / 8)]}, ${DOINGS[at % 8]} ${THINGS[Math.floor(at / 8)]} number ${at}.`,
      ).join('\n\n'),
    );
    const berths = asked(claims)
      .filter((check) => check.drafted!.form === 'condition')
      .map((check) => Number(/berth (\d+)/.exec(check.stem)![1]))
      .sort((a, b) => a - b);
    expect(berths.length).toBeGreaterThan(4);
    expect(berths.length).toBeLessThanOrEqual(16);
    expect(berths[0]).toBeLessThan(12);
    expect(berths.at(-1)).toBeGreaterThan(36);
  });

  it('are the same in whatever order claims come', async () => {
    const { claims } = await knowing(RULES);
    const ask = (course: typeof claims) => asked(claims, course);
    expect(ask([...claims].reverse()).map((check) => check.options)).toEqual(ask(claims).map((check) => check.options));
  });

  it.each([
    ['a condition that points outside', 'If this happens again, call the lead at once.'],
    ['a condition known only from before', 'If the count differs, write a long note.'],
    ['an action that goes on in a list', 'If a pack is swollen, follow these simple steps:'],
    ['what is possible, not allowed', 'If a tool is heavy, you can carry it together.'],
    ['an action that points outside', 'If a tool is dirty, wash this in the sink.'],
    ['a condition that points back with "that"', 'If you do not find that possible, call a deputy at home.'],
    ['an action that only gets something', 'If a member pays twice, you must get a refund slip.'],
    ['what says "do not hesitate"', 'If a tool is missing, do not hesitate to ask the owner.'],
    ['a condition that gives the answer away', 'If a member wants a saw, give the member a saw.'],
  ])('are not made of %s', async (_, sentence) => {
    const made = await questions(`${RULES}\n${sentence}\n`);
    expect(
      made.filter((check) =>
        check.evidence.some(
          (range) => range.to - range.from === sentence.length && check.stem.includes(sentence.slice(3, 12)),
        ),
      ),
    ).toEqual([]);
  });

  it('never offer two answers that could both be right', async () => {
    const made = await questions(
      `${RULES}\nIf a borrower becomes loud, call the desk lead.\n\nIf a member keeps shouting, fetch the desk lead.\n`,
    );
    const loud = made.find((check) => check.stem.includes('becomes loud'));
    expect(loud?.options.map((option) => option.text) ?? []).not.toContain('Fetch the desk lead');
  });
});

const TERMS = `A borrower is a member who signs for a saw.

A deposit is an amount of money which is given back later.

A look-over is a careful check by two volunteers at once.

A red tag is a mark which warns of sharp blades.

A tag is a tag which hangs on a hook.
`;

describe('questions on terms', () => {
  it('ask for the term, with other terms as wrong answers', async () => {
    const made = await questions(TERMS);
    const borrower = made.find((check) => keyOf(check).text === 'Borrower')!;
    expect(borrower.stem).toBe('Which term stands for this: “a member who signs for a saw”?');
    expect(borrower.options.map((option) => option.text)).toEqual(expect.arrayContaining(['Look-over']));
  });

  it('are not made where the meaning says the term', async () => {
    expect((await questions(TERMS)).filter((check) => check.stem.includes('hangs on a hook'))).toEqual([]);
  });
});

describe('questions on forbidden things', () => {
  it('ask what not to do, however politely it is put', async () => {
    const made = await questions(
      'Do not lift the lid when a pack smokes.\n\nIf a member shouts, please do not raise your own voice.\n\nIf a blade is loose, never hold the saw upside down.\n\nIf the alarm rings at night, do not enter the cellar alone.\n',
    );
    const shouting = made.find((check) => check.stem.startsWith('If a member shouts'));
    expect(shouting?.stem).toBe('If a member shouts, what must you not do?');
    expect(keyOf(shouting!).text).toBe('Raise your own voice');
  });
});

describe('questions on figures', () => {
  it('ask for a limit, with figures of the same unit, in order of size', async () => {
    const [check] = await questions(
      'Claims must be submitted within thirty days after the end of the trip.\n\nA pack must rest for two days before each long journey.\n',
    );
    expect(check.stem).toBe(
      'Which figure belongs in the gap? “Claims must be submitted within _____ after the end of the trip.”',
    );
    expect(keyOf(check).text).toBe('thirty days');
    expect(check.options.every((option) => / days?$/.test(option.text))).toBe(true);
    expect(new Set(check.options.map((option) => option.text)).size).toBe(4);
  });

  it.each([
    ['about what happened', 'Last year we threw away 11 packs within 12 months of use at the desk.'],
    ['with two that could be swapped', 'You must wait within 10 minutes or at most 10 minutes at the old desk.'],
    ['that are only said to be about so much', 'A full charge must take about 50 minutes on the old shelf.'],
    [
      'that another passage contradicts',
      'A reserved tool must be collected within two days of the date.\n\nA reserved tool must be collected within three days of the date.',
    ],
  ])('are not made of figures %s', async (_, text) => expect(await questions(`${text}\n`)).toEqual([]));
});

it('all stand above the score from which they were good when read', async () => {
  for (const check of await questions(RULES + TERMS)) expect(check.drafted!.score).toBeGreaterThanOrEqual(SHOWN_FROM);
});
