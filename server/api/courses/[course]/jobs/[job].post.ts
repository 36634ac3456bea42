import { inWords } from '../../../../words/jobs';
import { route } from '../../../../route';

/** Goes on with what of a job failed or was stopped. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { jobs } = desks;
    jobs.again(ids.course, ids.job);
    return inWords(jobs.ofCourse(ids.course));
  },
});
