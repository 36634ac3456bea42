import { existsSync } from 'node:fs';
import { basename } from 'node:path';
import { idFrom } from '../core/document/id';
import { understand, type Knowledge } from '../core/knowledge';
import { packFor } from '../server/language/packs';
import { readInChild, sourceIds, withZip } from '../server/reading';
import { say, sayNotice } from '../server/words/problems';
import type { Timer } from './timer';

/** What reading the given sources came to. */
export interface ReadSources {
  knowledge: Knowledge[];
  media: Map<string, Uint8Array>;
  /** How many were not read. */
  failed: number;
}

/** Reads every source in a process of its own, says what could not be read, and understands the rest. */
export async function readSources(
  paths: readonly string[],
  tell: (line: string) => void,
  timer: Timer,
  signal: AbortSignal,
): Promise<ReadSources> {
  const ids = sourceIds(paths);
  const media = new Map<string, Uint8Array>();
  const read: Parameters<typeof understand>[0][] = [];
  let failed = 0;
  const take = async (path: string, id: string, name?: string) => {
    const result = await timer.measure('read', () => readInChild(path, id, signal, name));
    if (!result.ok) {
      failed++;
      tell(`  not read: ${say(result.problem)}`);
      return;
    }
    for (const notice of result.source.notices) tell(`  note: ${sayNotice(notice, result.source.title)}`);
    if (read.some((other) => other.version === result.source.version))
      tell(`  note: ${name ?? path} holds the same as a source before it; it is used once.`);
    else read.push(result.source);
    for (const [hash, bytes] of result.media) media.set(hash, bytes);
  };
  // What most sources will be understood with is loaded while the first is read in its own process.
  setImmediate(() => packFor('en'));
  for (const [index, path] of paths.entries()) {
    tell(`reading ${index + 1} of ${paths.length}: ${path}`);
    if (!/\.zip$/i.test(path) || !existsSync(path)) await take(path, ids[index]);
    else {
      const zip = await withZip(
        path,
        basename(path),
        async (files) => {
          for (const file of files) await take(file.path, idFrom('s', basename(path), file.name), file.name);
          return { ok: true as const, count: files.length };
        },
        signal,
      );
      if (zip.ok && zip.count > 0) continue;
      failed++;
      tell(`  not read: ${say(zip.ok ? { code: 'zip-empty', place: path } : zip.problem)}`);
    }
  }
  const knowledge = await timer.measure('understand', () =>
    Promise.resolve(read.map((source) => understand(source, packFor(source.language)))),
  );
  return { knowledge, media, failed };
}
