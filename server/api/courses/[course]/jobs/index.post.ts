import { defineEventHandler } from 'h3';
import { LessonsInput } from '../../../../inputs/course';
import { startDrafting } from '../../../../jobs/drafting';
import { installation } from '../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../utils/request';
import { inWords } from '../../../../words/jobs';

/** Begins to draft lessons; the answer does not wait for them. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { lessons } = await bodyAs(event, LessonsInput);
    const desks = installation();
    const id = idOf(event, 'course');
    return {
      job: startDrafting(desks, id, lessons, personOf(event).id),
      jobs: inWords(desks.jobs.ofCourse(id)),
    };
  }),
);
