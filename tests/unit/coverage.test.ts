import { describe, expect, it } from 'vitest';
import { usesOf } from '../../core/course/uses';
import { sentenceHash } from '../../core/document/rich-text';
import { stripOf } from '../../core/review/coverage';
import { aCheck, aCourse, anId, aSource } from '../builders';

const source = aSource([
  { kind: 'paragraph', text: 'One rule that is taught and asked about here.' },
  { kind: 'paragraph', text: 'Another rule that is taught alone in a lesson.' },
  { kind: 'paragraph', text: 'A third that nobody teaches in any of them.' },
  { kind: 'paragraph', text: 'A fourth that nobody teaches in any of them.' },
]);
const [first, second] = source.passages;

/** A course whose first lesson has a sentence of each of the first two passages, and a question on the first. */
function onSource() {
  const course = aCourse();
  const [lesson] = course.modules[0].lessons;
  const sentence = (passage: typeof first) => ({
    type: 'text' as const,
    text: passage.text,
    marks: [
      {
        type: 'evidence' as const,
        attrs: {
          id: anId(passage.id),
          passages: [{ id: passage.id, from: 0, to: passage.text.length }],
          was: sentenceHash(passage.text),
        },
      },
    ],
  });
  lesson.blocks.push({ id: anId('sourced'), kind: 'text', body: { text: [sentence(first), sentence(second)] } });
  course.checks[0] = { ...aCheck('check'), evidence: [{ id: first.id, from: 4, to: 8 }] };
  // An offer that no page places teaches and asks nothing.
  course.checks[1] = { ...aCheck('offer'), evidence: [{ id: source.passages[2].id, from: 0, to: 4 }] };
  return { course, lesson };
}

describe('what a course stands on', () => {
  it('is known by passage, lesson and question', () => {
    const { course, lesson } = onSource();
    const uses = usesOf(course);
    expect([...uses.keys()].sort()).toEqual([first.id, second.id].sort());
    expect(uses.get(second.id)).toEqual([{ from: 0, to: second.text.length, lesson: lesson.id }]);
    expect(uses.get(first.id)).toContainEqual({ from: 4, to: 8, lesson: lesson.id, check: anId('check') });
  });
});

describe('the strip of a source', () => {
  it('says from first to last what is taught and asked', () => {
    const strip = stripOf(source, usesOf(onSource().course));
    expect(strip).toHaveLength(4);
    expect(strip[0].checked).toBeGreaterThan(0.9);
    expect(strip[1].taught).toBeGreaterThan(0.9);
    expect(strip[1].checked).toBeLessThan(0.1);
    expect(strip[3]).toEqual({ taught: 0, checked: 0 });
  });
  it('gives a long passage its length', () => {
    const long = aSource([
      { kind: 'paragraph', text: 'word '.repeat(90).trim() },
      { kind: 'paragraph', text: 'word '.repeat(10).trim() },
    ]);
    const strip = stripOf(long, new Map([[long.passages[0].id, [{ from: 0, to: 1, lesson: 'lessonaaaaaa' }]]]));
    expect(strip).toEqual([
      { taught: 1, checked: 0 },
      { taught: 0.8, checked: 0 },
    ]);
  });
  it('of nothing is empty', () => expect(stripOf({ passages: [] }, new Map())).toEqual([]));
});
