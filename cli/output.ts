import { mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Writes files into a folder: all beside their place first, then moved, so that a stop leaves no half file under a good
 * name.
 */
export function writeFiles(folder: string, files: ReadonlyMap<string, string | Uint8Array>): void {
  mkdirSync(folder, { recursive: true });
  for (const [name, content] of files) writeFileSync(join(folder, `.${name}.part`), content);
  for (const name of files.keys()) renameSync(join(folder, `.${name}.part`), join(folder, name));
}
