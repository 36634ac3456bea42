import { LessonsInput } from '../../../../inputs/course';
import { startDrafting } from '../../../../jobs/drafting';
import { inWords } from '../../../../words/jobs';
import { route } from '../../../../route';

/** Begins to draft lessons; the answer does not wait for them. */
export default route({
  right: 'author',
  body: LessonsInput,
  carries: 'list',
  run({ me, ids, body, desks }) {
    const { lessons } = body;
    const id = ids.course;
    return {
      job: startDrafting(desks, id, lessons, me.id),
      jobs: inWords(desks.jobs.ofCourse(id)),
    };
  },
});
