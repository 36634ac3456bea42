import { getCookie, setResponseHeader } from 'h3';
import { learnerWhoMay } from '../../../utils/learner';
import { route } from '../../../route';

/** The course as its learner may see it, and how far they are. */
export default route({
  right: 'anyone',
  run({ event, ids, desks }) {
    const { releases, learners } = desks;
    const link = ids.link;
    const learner = learnerWhoMay(event, link);
    const key = getCookie(event, `learner-${link}`);
    const own = {
      rules: releases.rules(learner.release_id),
      told: learners.told(learner),
      release: learner.release_id,
      learner: learner.id,
      ...(key && learner.person_id === null && { key }),
    };
    setResponseHeader(event, 'content-type', 'application/json');
    return `{"course":${releases.viewJson(learner.release_id)},${JSON.stringify(own).slice(1)}`;
  },
});
