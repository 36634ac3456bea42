import { understand, type Knowledge } from '../core/knowledge';
import { packFor } from '../server/language/packs';
import { readInChild, sourceIds } from '../server/reading';
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
export async function readSources(paths: readonly string[], tell: (line: string) => void, timer: Timer, signal: AbortSignal): Promise<ReadSources> {
  const ids = sourceIds(paths);
  const media = new Map<string, Uint8Array>();
  const read: Parameters<typeof understand>[0][] = [];
  let failed = 0;
  for (const [index, path] of paths.entries()) {
    tell(`reading ${index + 1} of ${paths.length}: ${path}`);
    const result = await timer.measure('read', () => readInChild(path, ids[index], signal));
    if (!result.ok) {
      failed++;
      tell(`  not read: ${say(result.problem)}`);
      continue;
    }
    for (const notice of result.source.notices) tell(`  note: ${sayNotice(notice, result.source.title)}`);
    if (read.some((other) => other.version === result.source.version)) tell(`  note: ${path} holds the same as a source before it; it is used once.`);
    else read.push(result.source);
    for (const [hash, bytes] of result.media) media.set(hash, bytes);
  }
  const knowledge = await timer.measure('understand', () => Promise.resolve(read.map((source) => understand(source, packFor(source.language)))));
  return { knowledge, media, failed };
}
