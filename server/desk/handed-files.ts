import { mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fileTypeFromBuffer } from 'file-type';
import type { HandedFile, HandedIn } from '../../core/checks/markings';
import { fail } from '../../core/document/problem';
import { endingsOf, HANDED_BYTES, typesOf, type FileKind } from '../../core/document/handed';
import { handedIn } from '../database/handed';
import type { Db } from '../database/open';
import { fileStore } from '../files';

const MB = 1024 ** 2;
/** What one learner, and all learners of a course, may have handed in at most, in bytes. */
const LEARNER_BYTES = 256 * MB;
const COURSE_BYTES = 8 * 1024 * MB;

/**
 * Files that learners hand in. They lie apart from all others, and nothing here opens one: whoever may have it saves
 * it.
 */
export function handedFiles(db: Db, folder: string, now: () => number) {
  const root = join(folder, 'handed');
  mkdirSync(join(root, 'files'), { recursive: true, mode: 0o700 });
  const files = fileStore(root);
  const handed = handedIn(db);
  /** A learner's file, and where it lies; undefined where it is not theirs, or was lost. */
  const find = (learner: string, hash: string): (HandedFile & { path: string }) | undefined => {
    const file = handed.get(learner, hash);
    return file && files.has(hash) ? { ...file, path: files.pathOf(hash) } : undefined;
  };

  return {
    /**
     * Takes in a file for a learner. It must be of the kinds, by its bytes as by its name. Throws `file-too-big`,
     * `file-kind`, `file-not-so`, `too-much-handed`.
     */
    async take(
      learner: { id: string; course_id: string },
      path: string,
      name: string,
      kinds: readonly FileKind[],
    ): Promise<HandedFile> {
      const { size } = statSync(path);
      if (size > HANDED_BYTES)
        fail('file-too-big', { megabytes: Math.ceil(size / MB), limit: HANDED_BYTES / MB }, name);
      const types = typesOf(name, kinds) ?? fail('file-kind', { kinds: endingsOf(kinds).join(', ') }, name);
      const bytes = new Uint8Array(readFileSync(path));
      const found = await foundIn(bytes);
      if (!types.includes(found)) fail('file-not-so', { ending: name.split('.').pop()!.toLowerCase() }, name);
      if (handed.bytesOf(learner.id) + size > LEARNER_BYTES)
        fail('too-much-handed', { limit: LEARNER_BYTES / MB }, name);
      if (handed.bytesIn(learner.course_id) + size > COURSE_BYTES)
        fail('too-much-handed', { limit: COURSE_BYTES / MB }, name);
      const file = { hash: files.keep(bytes), name, bytes: size };
      handed.add(learner.id, file, now());
      // The same bytes again are the file there is.
      return handed.get(learner.id, file.hash)!;
    },
    /** Whether all files of a response are this learner's own. */
    has: (learner: string, { files: named }: HandedIn): boolean =>
      named.every(({ hash, name, bytes }) => {
        const own = handed.get(learner, hash);
        return own !== undefined && own.name === name && own.bytes === bytes;
      }),
    find,
    /** A learner's file, and where it lies. Throws `no-such-media`. */
    get: (learner: string, hash: string): HandedFile & { path: string } =>
      find(learner, hash) ?? fail('no-such-media', undefined, hash),
    /** A learner's files are no longer kept. */
    forget: (learner: string, named: readonly HandedFile[]): void =>
      named.forEach(({ hash }) => handed.drop(learner, hash)),
    /** Takes away bytes that are nobody's any more. */
    clear(): void {
      const held = handed.held();
      for (const name of readdirSync(join(root, 'files')))
        // Half files of a server that stopped go too: bytes are kept in one go, so none is on its way now.
        if (/^[0-9a-f]{64}(?:\.t[a-z2-7]{12})?$/.test(name) && !held.has(name))
          rmSync(join(root, 'files', name), { force: true });
    },
  };
}

/** What bytes are, by the ending such files have. */
async function foundIn(bytes: Uint8Array): Promise<string> {
  try {
    return (await fileTypeFromBuffer(bytes))?.ext ?? (isText(bytes) ? 'text' : 'unknown');
  } catch {
    // Begun like a file of some kind, and not gone on like one.
    return 'unknown';
  }
}

/** Whether bytes are nothing but words. */
function isText(bytes: Uint8Array): boolean {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    // Breaks and tabs apart, words have no control characters.
    return !/\p{Cc}/u.test(text.replace(/[\t\n\v\f\r]/g, ''));
  } catch {
    return false;
  }
}

export type HandedFiles = ReturnType<typeof handedFiles>;
