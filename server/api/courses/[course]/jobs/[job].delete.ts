import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';
import { inWords } from '../../../../words/jobs';

/** Stops a drafting: what is finished stays, the rest is left as it was. */
export default defineEventHandler((event) =>
  answering(() => {
    const { jobs } = installation();
    jobs.stop(idOf(event, 'course'), idOf(event, 'job'));
    return inWords(jobs.ofCourse(idOf(event, 'course')));
  }),
);
