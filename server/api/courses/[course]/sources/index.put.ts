import { defineEventHandler } from 'h3';
import { noted } from '../../../../utils/noted';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';
import { say } from '../../../../words/problems';

/** Takes in a file as a source, or a zip of files as one each. */
export default defineEventHandler((event) =>
  answering(() =>
    withUpload(event, async (path, name, signal) => {
      const { sources } = installation();
      const [course, person] = [idOf(event, 'course'), personOf(event).id];
      if (/\.zip$/i.test(name)) {
        const zip = await sources.addZip(course, path, name, person, signal);
        if (zip.ok) for (const { added } of zip.files) if (added.ok) noted(event, added);
        return zip.ok
          ? {
              ok: true,
              files: zip.files.map(({ name: file, added }) => ({
                name: file,
                ...(added.ok ? { same: added.same } : { refused: say({ ...added.problem, place: undefined }) }),
              })),
            }
          : refuse(zip.problem);
      }
      const added = await sources.addFile(course, path, name, person, signal);
      return added.ok ? noted(event, added) : refuse(added.problem);
    }),
  ),
);
