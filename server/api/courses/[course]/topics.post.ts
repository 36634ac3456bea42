import { FieldInput } from '../../../inputs/course';
import { route } from '../../../route';

/** Topics of a field, with what the sources and answers hold on each. */
export default route({
  right: 'reader',
  body: FieldInput,
  run({ ids, body, desks }) {
    const { field } = body;
    const { drafter, sources, courses } = desks;
    const id = ids.course;
    return drafter.ask('topics', { course: courses.load(id).course, sources: sources.keys(id), field });
  },
});
