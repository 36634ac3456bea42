import { route } from '../../../../route';

/** The releases of a course, its learners' address, and what a release made now would mean. */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { releases } = desks;
    const id = ids.course;
    return { releases: releases.list(id), link: releases.link(id), meaning: releases.meaning(id) };
  },
});
