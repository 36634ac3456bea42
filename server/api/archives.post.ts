import { importArchive } from '../desk/archive';
import { openArchive } from '../reading';
import { refuse } from '../utils/request';
import { withUpload } from '../utils/upload';
import { FileQuery } from '../inputs/query';
import { route } from '../route';

/** Takes in a course archive as a new course; it is opened and checked in a process of its own. */
export default route({
  right: 'signed-in',
  query: FileQuery,
  carries: 'file',
  run: async ({ event, me, desks }) =>
    withUpload(
      event,
      async (path, name, signal) => {
        const person = me.id;
        const opened = await desks.sources.inTurn(person, () => openArchive(path, name, signal));
        if (!opened.ok) return refuse(opened.problem);
        const made = importArchive(desks, opened, person);
        desks.audit.note(desks.now(), person, 'course-imported', made.id);
        desks.sources.renewClaims().catch((error: unknown) => console.error(error));
        return made;
      },
      'course.uplift.zip',
    ),
});
