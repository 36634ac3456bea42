import { route } from '../../../../../route';

/** What a lesson's learners could read on in, as the sources have it. */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { course } = desks.courses.load(ids.course);
    return desks.drafter.ask('reading', { course, lessonId: ids.lesson, sources: desks.sources.keys(ids.course) });
  },
});
