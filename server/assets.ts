import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder with the word lists that ship with the app: beside the sources, or one up from the built file. */
export function assetFolder(): string {
  return join(rootWith('assets/lexicon-en.json'), 'assets');
}

/** The folder of programs that run beside the server: the reading process, the drafting worker. */
export function programFolder(): string {
  return join(rootWith('dist/reader.mjs'), 'dist');
}

/** The nearest folder, from this file upward, that holds a file. */
function rootWith(file: string): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, file))) {
    const up = dirname(folder);
    if (up === folder) throw new Error(`"${file}" is missing beside the program: run "npm run build".`);
    folder = up;
  }
  return folder;
}
