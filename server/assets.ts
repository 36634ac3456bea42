import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder with the word lists that ship with the app: beside the sources, or one up from the built file. */
export function assetFolder(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'assets'))) {
    const up = dirname(folder);
    if (up === folder) throw new Error('The folder "assets" is missing beside the program.');
    folder = up;
  }
  return join(folder, 'assets');
}
