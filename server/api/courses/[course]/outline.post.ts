import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Drafts an outline from brief and sources. It is a proposal: nothing of the course changes. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const id = ids.course;
    const keys = sources.keys(id);
    if (keys.length === 0) refuse({ code: 'no-sources' });
    return drafter.ask('outline', { course: courses.load(id).course, sources: keys });
  },
});
