import { VersionInput } from '../../../../inputs/course';
import { route } from '../../../../route';

/** Names the course as it stands. */
export default route({
  right: 'author',
  body: VersionInput,
  run({ me, ids, body, desks }) {
    const { name } = body;
    return { id: desks.courses.nameVersion(ids.course, name, me.id) };
  },
});
