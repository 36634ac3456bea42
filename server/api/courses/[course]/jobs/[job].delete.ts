import { inWords } from '../../../../words/jobs';
import { route } from '../../../../route';

/** Stops a drafting: what is finished stays, the rest is left as it was. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { jobs } = desks;
    jobs.stop(ids.course, ids.job);
    return inWords(jobs.ofCourse(ids.course));
  },
});
