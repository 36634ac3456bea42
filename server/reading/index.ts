import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import { deserialize } from 'node:v8';
import { idFrom } from '../../core/course/id';
import type { ReadResult } from '../../core/reading';
import { programFolder } from '../assets';
import type { ReadingJob } from './job';

/** Address space of a reading process, in kilobytes: about 1 GB of memory besides what the platform maps at start. */
const ADDRESS_SPACE = 2_200_000;
/** Of the JavaScript heap, in megabytes. */
const HEAP = 800;

/**
 * Reads a file or folder in a process of its own with limited memory; a file that breaks the reader breaks nothing
 * else. `signal` stops it; `name` is what the file is called where it came from.
 */
export async function readInChild(path: string, id: string, signal?: AbortSignal, name = basename(resolve(path))): Promise<ReadResult> {
  const job: ReadingJob = { id, path: resolve(path), name };
  const child = startChild(job, signal);
  const chunks: Buffer[] = [];
  child.stdout.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = await new Promise<{ code: number | null }>((done, failed) => {
    child.on('error', failed);
    child.on('close', (code) => done({ code }));
  });
  if (ended.code !== 0 || chunks.length === 0) return { ok: false, problem: { code: 'reader-stopped', place: job.name } };
  const result = deserialize(Buffer.concat(chunks)) as ReadResult;
  return result.ok ? { ...result, media: new Map(result.media) } : result;
}

/** Ids of sources by their names: the same name, the same id; a second source of one name gets another. */
export function sourceIds(paths: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return paths.map((path) => {
    const name = basename(resolve(path));
    const times = (seen.get(name) ?? 0) + 1;
    seen.set(name, times);
    return idFrom('s', name, times);
  });
}

function startChild(job: ReadingJob, signal?: AbortSignal) {
  const run = [process.execPath, `--max-old-space-size=${HEAP}`, childScript(), JSON.stringify(job)];
  // The shell's limit is the only one that also bounds buffers; platforms without it keep the heap's.
  const [command, ...rest] = existsSync('/bin/sh') ? ['/bin/sh', '-c', `ulimit -v ${ADDRESS_SPACE} 2>/dev/null; exec "$0" "$@"`, ...run] : run;
  return spawn(command, rest, { stdio: ['ignore', 'pipe', 'ignore'], ...(signal && { signal }), env: { PATH: process.env.PATH } });
}

function childScript(): string {
  return join(programFolder(), 'reader.mjs');
}
