import { OutlineInput } from '../../../inputs/course';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Drafts an outline from brief and sources, by a plan where one is named. It is a proposal: nothing changes. */
export default route({
  right: 'author',
  body: OutlineInput,
  run({ ids, body, desks }) {
    const { courses, sources, drafter } = desks;
    const id = ids.course;
    const keys = sources.keys(id);
    if (keys.length === 0) refuse({ code: 'no-sources' });
    const { course } = courses.load(id);
    const planned = body.plan && { plan: body.plan, topic: body.topic ?? course.title };
    return drafter.ask('outline', { course, sources: keys, ...(planned && { planned }) });
  },
});
