import { CopyInput } from '../../../inputs/course';
import { duplicate } from '../../../desk/archive';
import { route } from '../../../route';

/** Makes a course once more, for whoever asks. */
export default route({
  right: 'author',
  body: CopyInput,
  run({ me, ids, body, desks }) {
    const { title } = body;
    const person = me.id;
    const made = duplicate(desks, ids.course, title, person);
    desks.audit.note(desks.now(), person, 'course-made', made.id, 'a copy');
    // What was copied is understood anew, as what comes with an archive is.
    desks.sources.renewClaims().catch((error: unknown) => console.error(error));
    return made;
  },
});
