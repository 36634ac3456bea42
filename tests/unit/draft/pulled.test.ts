import { describe, expect, it } from 'vitest';
import { plainText } from '../../../core/blocks/forms';
import { emptyCourse, type Course } from '../../../core/course/course';
import { draftContext } from '../../../core/draft/context';
import { pulledBlocks } from '../../../core/draft/pulled';
import { readingOffers } from '../../../core/draft/reading';
import { aBrief, aLesson, aModule, anId, knowing } from '../../builders';

const SOURCE = `# The yard

## Opening

Before you open the yard:

1. Unlock the gate.
2. Switch on the lights.
3. Read the book of the night.

Dogs are welcome. See [the map of the yard](https://fernhollow.example/map) for the fences.

| Gate | Key |
| --- | --- |
| North | brass |
| South | steel |

## Snow on the paths

When snow lies on the paths of the yard, the gate stays shut until the paths are cleared.
`;
const { knowledge, passages } = await (async () => {
  const one = await knowing(SOURCE);
  return { knowledge: [one], passages: one.source.passages };
})();
const id = (words: string) => passages.find(({ text }) => text.includes(words))!.id;
const context = draftContext(aBrief(), knowledge);
const pulled = (words: string, whole: boolean) => pulledBlocks([id(words)], context, anId('place'), whole);

describe('passages pulled into a page', () => {
  it('come with all that belongs to them, in their shape', () => {
    const whole = pulled('Switch on', true);
    expect(whole.map(({ kind }) => kind)).toContain('steps');
    expect(whole.map(plainText).join(' ')).toContain('Read the book of the night');
    expect(pulled('South', true).map(({ kind }) => kind)).toEqual(['table']);
    expect(pulled('South', true).map(plainText).join(' ')).toContain('brass');
  });

  it('come alone where that is asked', () => {
    const alone = pulled('Switch on', false).map(plainText).join(' ');
    expect(alone).toContain('Switch on the lights');
    expect(alone).not.toContain('book of the night');
  });

  it('come whole even where drafting would leave light words out', () => {
    expect(pulled('Dogs are welcome', false).map(plainText).join(' ')).toContain('Dogs are welcome');
  });
});

describe('further reading', () => {
  const course = (blocks = aLesson('x').blocks): Course => ({
    ...emptyCourse(anId('course'), 'A course', aBrief()),
    modules: [
      aModule('Yard', [{ ...aLesson('The yard and its paths', blocks), plannedPassages: [id('Dogs are welcome')] }]),
    ],
  });
  const lesson = anId('The yard and its paths');

  it('offers links of the passages at hand, and unused parts on the topic by their headings', () => {
    const offers = readingOffers(course(), lesson, knowledge);
    expect(offers[0]).toMatchObject({ title: 'the map of the yard', address: 'https://fernhollow.example/map' });
    expect(offers[0].says!.passage.id).toBe(id('Dogs are welcome'));
    expect(offers.map(({ title }) => title).join()).toContain('Snow on the paths');
    expect(readingOffers(course(), anId('nobody'), knowledge)).toEqual([]);
  });

  it('offers nothing that the page has already', () => {
    const has = course([
      {
        id: anId('r'),
        kind: 'reading',
        body: {
          items: [
            {
              title: [
                {
                  type: 'text',
                  text: 'Map',
                  marks: [{ type: 'link', attrs: { href: 'https://fernhollow.example/map' } }],
                },
              ],
              text: [],
            },
          ],
        },
      },
    ]);
    expect(readingOffers(has, lesson, knowledge).map(({ address }) => address)).not.toContain(
      'https://fernhollow.example/map',
    );
  });
});
