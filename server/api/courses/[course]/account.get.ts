import { route } from '../../../route';

/** Lines of what is left out that are sent at once, and letters of each: the list of a book is long. */
const MOST_LINES = 600;
const MOST_LETTERS = 400;

/** What a course holds of its sources, and what not, with the reasons. */
export default route({
  right: 'reader',
  async run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const id = ids.course;
    const account = await drafter.ask('account', { course: courses.load(id).course, sources: sources.keys(id) });
    const shown = account.leftOut.slice(0, MOST_LINES).map((line) => ({
      ...line,
      text: line.text.length > MOST_LETTERS ? `${line.text.slice(0, MOST_LETTERS)} …` : line.text,
    }));
    return { ...account, leftOut: shown, notShown: account.leftOut.length - shown.length };
  },
});
