import { expect, it } from 'vitest';
import { draftCourse } from '../../../core/draft';
import { aBrief, knowing } from '../../builders';

it('an everyday word that a source gives a meaning of its own is told from a term of the trade', async () => {
  const source = `# The tool library

## Words

- **Return:** the moment at which the desk has counted a tool and written it into the list.
- **Tare:** the weight of an empty crate, which is taken off before a hire is priced.

## The desk

You must write every return into the list on the same day.
`;
  const { course } = draftCourse(aBrief(), [await knowing(source)], 'The tool library');
  expect(course.glossary.map(({ term, everyday }) => [term.toLowerCase(), everyday ?? false])).toEqual([
    ['return', true],
    ['tare', false],
  ]);
});
