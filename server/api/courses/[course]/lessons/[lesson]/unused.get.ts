import { route } from '../../../../../route';

/** What the sources say on a lesson's topic and the course does not use, with its words. */
export default route({
  right: 'reader',
  async run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const id = ids.course;
    const found = await drafter.ask('unused', {
      course: courses.load(id).course,
      lessonId: ids.lesson,
      sources: sources.keys(id),
    });
    const scores = new Map(found.map((each) => [each.id, each]));
    return sources
      .passages(
        id,
        found.map((each) => each.id),
        1,
      )
      .map((each) => {
        const { score, with: many } = scores.get(each.passage.id)!;
        return { ...each, score, ...(many && { with: many }) };
      });
  },
});
