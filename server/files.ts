import { createHash } from 'node:crypto';
import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freshId } from './ids';

/** Files of a data folder, each under the SHA-256 of its bytes. */
export function fileStore(folder: string) {
  const pathOf = (hash: string) => join(folder, 'files', hash);
  return {
    pathOf,
    has: (hash: string) => existsSync(pathOf(hash)),
    /** The bytes under a hash; undefined where they were lost. */
    read(hash: string): Uint8Array | undefined {
      try {
        return new Uint8Array(readFileSync(pathOf(hash)));
      } catch {
        return undefined;
      }
    },
    /** Keeps bytes: written beside, synced, then named, so that a crash leaves no half file. Gives their hash. */
    keep(bytes: Uint8Array): string {
      const hash = createHash('sha256').update(bytes).digest('hex');
      const path = pathOf(hash);
      if (existsSync(path)) return hash;
      const temporary = `${path}.${freshId('t')}`;
      writeFileSync(temporary, bytes);
      const handle = openSync(temporary, 'r');
      fsyncSync(handle);
      closeSync(handle);
      renameSync(temporary, path);
      return hash;
    },
  };
}

export type FileStore = ReturnType<typeof fileStore>;
