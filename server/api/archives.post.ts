import { defineEventHandler } from 'h3';
import { importArchive } from '../desk/archive';
import { openArchive } from '../reading';
import { installation } from '../utils/installation';
import { answering, personOf, refuse } from '../utils/request';
import { withUpload } from '../utils/upload';

/** Takes in a course archive as a new course; it is opened and checked in a process of its own. */
export default defineEventHandler((event) =>
  answering(() =>
    withUpload(
      event,
      async (path, name, signal) => {
        const desks = installation();
        const person = personOf(event).id;
        const opened = await desks.sources.inTurn(person, () => openArchive(path, name, signal));
        if (!opened.ok) return refuse(opened.problem);
        const made = importArchive(desks, opened, person);
        desks.audit.note(desks.now(), person, 'course-imported', made.id);
        desks.sources.renewClaims().catch((error: unknown) => console.error(error));
        return made;
      },
      'course.uplift.zip',
    ),
  ),
);
