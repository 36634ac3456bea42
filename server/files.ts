import { createHash } from 'node:crypto';
import {
  closeSync,
  constants,
  copyFileSync,
  createReadStream,
  existsSync,
  fsyncSync,
  openSync,
  readFileSync,
  renameSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { crc32 } from 'node:zlib';
import type { LaidFile } from '../core/document/zip';
import { freshId } from './ids';

/** A file on its way in: its bytes, or where they lie. */
export type Came = Uint8Array | { path: string };

/** Files of a data folder, each under the SHA-256 of its bytes. */
export function fileStore(folder: string) {
  const pathOf = (hash: string) => join(folder, 'files', hash);
  /** Written beside, synced, then named, so that a crash leaves no half file. */
  function named(hash: string, write: (path: string) => void): void {
    const path = pathOf(hash);
    if (existsSync(path)) return;
    const temporary = `${path}.${freshId('t')}`;
    write(temporary);
    const handle = openSync(temporary, 'r');
    fsyncSync(handle);
    closeSync(handle);
    renameSync(temporary, path);
  }
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
    /** Keeps bytes. Gives their hash. */
    keep(bytes: Uint8Array): string {
      const hash = createHash('sha256').update(bytes).digest('hex');
      named(hash, (path) => writeFileSync(path, bytes));
      return hash;
    },
    /** Keeps what came under the hash it is known to have. */
    take(hash: string, came: Came): void {
      named(hash, (path) =>
        came instanceof Uint8Array
          ? writeFileSync(path, came)
          : // Where the disk can, without writing it a second time.
            copyFileSync(came.path, path, constants.COPYFILE_FICLONE),
      );
    },
    /** A file as it goes into a zip, read piece by piece; undefined where it was lost. */
    laid(hash: string): LaidFile | undefined {
      const path = pathOf(hash);
      if (!existsSync(path)) return undefined;
      const pieces = () => createReadStream(path, { highWaterMark: 1024 * 1024 }) as AsyncIterable<Buffer>;
      return {
        size: statSync(path).size,
        async crc() {
          let crc = 0;
          for await (const piece of pieces()) crc = crc32(piece, crc);
          return crc;
        },
        pieces,
      };
    },
  };
}

export type FileStore = ReturnType<typeof fileStore>;
