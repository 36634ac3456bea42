import { noted } from '../../../../utils/noted';
import { refuse } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';
import { say } from '../../../../words/problems';
import { FileQuery } from '../../../../inputs/query';
import { route } from '../../../../route';

/** Takes in a file as a source, or a zip of files as one each. */
export default route({
  right: 'author',
  query: FileQuery,
  carries: 'file',
  run: async ({ event, me, ids, desks }) =>
    withUpload(event, async (path, name, signal) => {
      const { sources } = desks;
      const [course, person] = [ids.course, me.id];
      if (/\.zip$/i.test(name)) {
        const zip = await sources.addZip(course, path, name, person, signal);
        if (zip.ok) for (const { added } of zip.files) if (added.ok) noted({ me, ids, desks }, added);
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
      return added.ok ? noted({ me, ids, desks }, added) : refuse(added.problem);
    }),
});
