import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { deserialize } from 'node:v8';
import { ProblemError } from '../../core/course/problem';
import { idFrom } from '../../core/course/id';
import type { ReadResult } from '../../core/reading';
import { programFolder } from '../assets';
import type { ReadingJob, Unpacked } from './job';

/** Address space of a reading process, in kilobytes: about 1 GB of memory besides what the platform maps at start. */
const ADDRESS_SPACE = 2_200_000;
/** Of the JavaScript heap, in megabytes. */
const HEAP = 800;

/**
 * Reads a file or folder in a process of its own with limited memory; a file that breaks the reader breaks nothing
 * else. `signal` stops it, with the problem `stopped` thrown; `name` is what the file is called where it came from,
 * `address` where it was fetched from.
 */
export async function readInChild(path: string, id: string, signal?: AbortSignal, name = basename(resolve(path)), address?: string): Promise<ReadResult> {
  const result = await answerOf<ReadResult>({ id, path: resolve(path), name, ...(address && { address }) }, signal);
  return result.ok ? { ...result, media: new Map(result.media) } : result;
}

/**
 * Unpacks a zip of files, under the same limits, and hands over each of them; several pages are one folder of pages, a zip in the
 * zip is left alone. Whatever was written for it is gone afterwards.
 */
export async function withZip<T>(path: string, name: string, work: (files: { name: string; path: string }[]) => Promise<T>, signal?: AbortSignal): Promise<T | Extract<ReadResult, { ok: false }>> {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-zip-'));
  try {
    const answer = await answerOf<Unpacked | Extract<ReadResult, { ok: false }>>({ id: '', path: resolve(path), name, into: folder }, signal);
    if ('ok' in answer) return answer;
    const isPage = (file: { name: string }) => /\.x?html?$/i.test(file.name);
    const pages = answer.files.filter(isPage);
    if (pages.length < 2) return await work(answer.files);
    const together = join(folder, 'pages');
    for (const page of pages) {
      // Names out of the zip are safe here: those that climb were left out when it was unpacked.
      mkdirSync(join(together, page.name, '..'), { recursive: true });
      renameSync(page.path, join(together, page.name));
    }
    return await work([{ name: name.replace(/\.zip$/i, ''), path: together }, ...answer.files.filter((file) => !isPage(file))]);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function answerOf<T>(job: ReadingJob, signal?: AbortSignal): Promise<T | Extract<ReadResult, { ok: false }>> {
  const child = startChild(job, signal);
  const chunks: Buffer[] = [];
  child.stdout.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = await new Promise<{ code: number | null }>((done, failed) => {
    child.on('error', (error) => failed(signal?.aborted ? new ProblemError({ code: 'stopped', place: job.name }) : error));
    child.on('close', (code) => done({ code }));
  });
  if (ended.code !== 0 || chunks.length === 0) return { ok: false, problem: { code: 'reader-stopped', place: job.name } };
  return deserialize(Buffer.concat(chunks)) as T;
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
