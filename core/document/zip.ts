import { zipSync, type Zippable } from 'fflate';

/**
 * A zip that is the same for the same files everywhere: entries sorted by code unit, one fixed local time. What is
 * packed already (pictures, faces) is stored.
 */
export function writeZip(files: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const zip: Zippable = {};
  const mtime = new Date(1990, 0, 1); // eslint-disable-line uplift/sameness -- a fixed local date, as zip wants
  for (const name of [...files.keys()].sort((a, b) => (a < b ? -1 : 1)))
    zip[name] = [files.get(name)!, { level: /^media\/|\.woff2$/.test(name) ? 0 : 6, mtime }];
  return zipSync(zip);
}
