import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';
import { inWords } from '../../../../words/jobs';

/** Goes on with what of a job failed or was stopped. */
export default defineEventHandler((event) =>
  answering(() => {
    const { jobs } = installation();
    jobs.again(idOf(event, 'course'), idOf(event, 'job'));
    return inWords(jobs.ofCourse(idOf(event, 'course')));
  }),
);
