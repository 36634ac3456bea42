import { readdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Names that files carry while they are taken in; afterwards they are called by their hash. */
const ON_THE_WAY = /^(?:upload\.t[a-z2-7]{12}|[0-9a-f]{64}\.t[a-z2-7]{12})$/;
/**
 * Milliseconds after which what is on the way was left by a server that stopped: another one may be at work in the
 * folder.
 */
const LEFT = 3_600_000;

/** Files that were being taken in when a server stopped. */
export function leftovers(folder: string, now = Date.now()): string[] {
  const files = join(folder, 'files');
  return readdirSync(files)
    .filter((name) => ON_THE_WAY.test(name) && now - statSync(join(files, name)).mtimeMs > LEFT)
    .map((name) => join(files, name));
}

/** Takes them away; on a disk that cannot be written they stay. */
export function clearLeftovers(folder: string): void {
  for (const path of leftovers(folder)) {
    try {
      rmSync(path, { force: true });
    } catch {
      return;
    }
  }
}
