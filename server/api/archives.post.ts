import { importArchive } from '../desk/archive';
import { withArchive } from '../reading';
import { BODY_LIMITS } from '../rights/limits';
import { refuse } from '../utils/request';
import { withUpload } from '../utils/upload';
import { FileQuery } from '../inputs/query';
import { route } from '../route';

/** Takes in a course archive as a new course; it is opened and checked in a process of its own. */
export default route({
  right: 'signed-in',
  query: FileQuery,
  carries: 'archive',
  run: async ({ event, me, desks }) =>
    withUpload(
      event,
      async (path, name, signal) => {
        const person = me.id;
        const made = await desks.sources.inTurn(person, () =>
          withArchive(path, name, (opened) => importArchive(desks, opened, person), signal),
        );
        if ('problem' in made) return refuse(made.problem);
        desks.audit.note(desks.now(), person, 'course-imported', made.id);
        desks.sources.renewClaims().catch((error: unknown) => console.error(error));
        return made;
      },
      { usual: 'course.uplift.zip', most: BODY_LIMITS.archive.bytes },
    ),
});
