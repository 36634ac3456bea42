import { createWriteStream, statSync } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { getQuery, type H3Event } from 'h3';
import { LIMITS } from '../../core/reading/limits';
import { ProblemError } from '../../core/document/problem';
import { installation } from './installation';
import { refuse } from './request';

/**
 * Takes in a file: its bytes as the body, its name in the address (`usual`, where none is given). It lies in a
 * temporary place while it is worked on, never beyond the limit (`most` bytes). `signal` tells when whoever sent it
 * went away.
 */
export async function withUpload<T>(
  event: H3Event,
  work: (path: string, name: string, signal: AbortSignal) => Promise<T>,
  { usual = '', most = LIMITS.fileBytes }: { usual?: string; most?: number } = {},
): Promise<T> {
  const name = String(getQuery(event).name ?? usual)
    .split(/[\\/]/)
    .pop()!
    .replace(/\p{Cc}+/gu, ' ')
    .slice(0, 200);
  if (!name) refuse({ code: 'bad-input', place: 'name' });
  const { sources } = installation();
  const path = sources.temporaryPath();
  const gone = new AbortController();
  event.node.res.once('close', () => !event.node.res.writableFinished && gone.abort());
  try {
    await pipeline(event.node.req, limited(name, most), createWriteStream(path, { mode: 0o600 }));
    if (statSync(path).size === 0) refuse({ code: 'empty', place: name });
    return await work(path, name, gone.signal);
  } finally {
    sources.discard(path);
  }
}

/** Passes bytes on until there are too many. */
function limited(name: string, most: number): Transform {
  let size = 0;
  return new Transform({
    transform(chunk: Buffer, _, done) {
      size += chunk.length;
      if (size > most)
        done(
          new ProblemError({
            code: 'file-too-big',
            parameters: { megabytes: Math.ceil(size / 1048576), limit: most / 1048576 },
            place: name,
          }),
        );
      else done(null, chunk);
    },
  });
}
