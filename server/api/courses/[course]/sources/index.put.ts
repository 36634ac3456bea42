import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { Transform } from 'node:stream';
import { defineEventHandler, getQuery } from 'h3';
import { LIMITS } from '../../../../../core/reading/limits';
import { ProblemError } from '../../../../../core/course/problem';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../utils/request';
import { say } from '../../../../words/problems';

/** Takes in a file: its bytes as the body, its name in the address. It is written to a temporary place while it comes, never beyond the limit. */
export default defineEventHandler((event) =>
  answering(async () => {
    const name = String(getQuery(event).name ?? '').split(/[\\/]/).pop()!.slice(0, 200);
    if (!name) refuse({ code: 'bad-input', place: 'name' });
    const { sources } = installation();
    const path = sources.temporaryPath();
    try {
      await pipeline(event.node.req, limited(name), createWriteStream(path));
      if (/\.zip$/i.test(name)) {
        const zip = await sources.addZip(idOf(event, 'course'), path, name, personOf(event).id);
        return zip.ok ? { ok: true, files: zip.files.map(({ name: file, added }) => ({ name: file, ...(added.ok ? { same: added.same } : { refused: say({ ...added.problem, place: undefined }) }) })) } : refuse(zip.problem);
      }
      const added = await sources.addFile(idOf(event, 'course'), path, name, personOf(event).id);
      return added.ok ? added : refuse(added.problem);
    } finally {
      sources.discard(path);
    }
  }));

/** Passes bytes on until there are too many. */
function limited(name: string): Transform {
  let size = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      size += chunk.length;
      if (size > LIMITS.fileBytes) done(new ProblemError({ code: 'file-too-big', parameters: { megabytes: Math.ceil(size / 1048576), limit: LIMITS.fileBytes / 1048576 }, place: name }));
      else done(null, chunk);
    },
  });
}
