import { writeFileSync } from 'node:fs';
import { FetchedMediaInput } from '../../../../inputs/media';
import { route } from '../../../../route';

/** Takes in a file of media that lies at an address, fetched by the same rules as sources. */
export default route({
  right: 'author',
  body: FetchedMediaInput,
  async run({ me, ids, body, desks }) {
    const { pages, sources, media } = desks;
    const { address, bytes, ending } = await pages.fetchFile(body.address);
    const path = sources.temporaryPath();
    try {
      writeFileSync(path, bytes, { mode: 0o600 });
      return await media.take(ids.course, path, nameIn(address, ending), me.id);
    } finally {
      sources.discard(path);
    }
  },
});

/** What a file at an address is called: the last part of its path. */
function nameIn(address: string, ending: string): string {
  const { hostname, pathname } = new URL(address);
  const last = pathname.split('/').filter(Boolean).at(-1) ?? hostname;
  try {
    return decodeURIComponent(last)
      .replace(/[\\/]|\p{Cc}/gu, ' ')
      .slice(0, 200);
  } catch {
    return `${hostname}.${ending}`;
  }
}
