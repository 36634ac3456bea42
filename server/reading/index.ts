import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join, resolve } from 'node:path';
import { deserialize } from 'node:v8';
import { ProblemError } from '../../core/document/problem';
import { idFrom } from '../../core/document/id';
import type { OutlineRead } from '../../core/own/file';
import type { OwnOutline } from '../../core/own/own';
import type { MediaFacts } from '../../core/media/file';
import type { BroughtQuestions } from '../../core/questions/given';
import type { ReadResult } from '../../core/reading';
import { programFolder } from '../assets';
import type { Source } from '../../core/source/source';
import {
  OF_A_SITE,
  type GivenAnswers,
  type InspectedMedia,
  type OpenedArchive,
  type ReadingJob,
  type ReadQuestions,
  type Refused,
  type Unpacked,
} from './job';

/** Address space of a reading process, in kilobytes: about 1 GB of memory besides what the platform maps at start. */
const ADDRESS_SPACE = 2_200_000;
/** Of the JavaScript heap, in megabytes. */
const HEAP = 800;
/**
 * Milliseconds a reading process may take: for any file, and more for each megabyte. The largest files we read take a
 * third of it.
 */
const TIME = { any: 60_000, eachMegabyte: 12_000 };

/**
 * Reads a file or folder in a process of its own with limited memory; a file that breaks the reader breaks nothing
 * else. `signal` stops it, with the problem `stopped` thrown; `name` is what the file is called where it came from,
 * `address` where it was fetched from.
 */
export async function readInChild(
  path: string,
  id: string,
  signal?: AbortSignal,
  name = basename(resolve(path)),
  address?: string,
): Promise<ReadResult> {
  return answerOf<ReadResult>({ what: 'read', id, path: resolve(path), name, ...(address && { address }) }, signal);
}

/** Reads text that was typed or pasted as the file it would be, in the same way. */
export function readTextInChild(text: string, id: string, name: string): Promise<ReadResult> {
  return withTemporary(text, (path) => readInChild(path, id, undefined, name));
}

/**
 * Opens a course archive that lies at `path`: read and checked as a whole, in a process of its own. Its media lie
 * unpacked for as long as `work` goes on.
 */
export async function withArchive<T>(
  path: string,
  name: string,
  work: (opened: OpenedArchive) => T | Promise<T>,
  signal?: AbortSignal,
): Promise<T | Refused> {
  const into = mkdtempSync(join(tmpdir(), 'uplift-archive-'));
  try {
    const opened = await answerOf<OpenedArchive>({ what: 'archive', id: '', path: resolve(path), name, into }, signal);
    return opened.ok ? await work(opened) : opened;
  } finally {
    rmSync(into, { recursive: true, force: true });
  }
}

/** What a file of media is that lies at `path`, told in a process of its own. Throws the problem it met. */
export async function inspectInChild(path: string, name: string): Promise<MediaFacts> {
  const read = await answerOf<InspectedMedia>({ what: 'media', id: '', path: resolve(path), name });
  if (!read.ok) throw new ProblemError(read.problem);
  return read.facts;
}

/**
 * What an author answered, read as a source in a process of its own; undefined when nothing was answered. Throws what
 * stopped it.
 */
export async function readAnswersInChild(id: string, given: GivenAnswers): Promise<Source | undefined> {
  const made = await withTemporary(JSON.stringify(given), (path) =>
    answerOf<Source | undefined>({ what: 'answers', id, path, name: given.title }),
  );
  if (made && 'problem' in made) throw new ProblemError(made.problem);
  return made;
}

/**
 * Reads an author's own outline in a process of its own; `title` calls the module of lines without levels. Throws the
 * problem it met.
 */
export async function readOutlineInChild(name: string, bytes: Uint8Array, title: string): Promise<OwnOutline> {
  const read = await withTemporary(bytes, (path) =>
    answerOf<OutlineRead>({ what: 'outline', id: '', path, name, title }),
  );
  if (!read.ok) throw new ProblemError(read.problem);
  return read.outline;
}

/** Reads questions out of a file in a process of its own, for a lesson. Throws the problem it met. */
export async function readQuestionsInChild(
  name: string,
  bytes: Uint8Array,
  lesson: string,
  language: string,
): Promise<BroughtQuestions> {
  const read = await withTemporary(bytes, (path) =>
    answerOf<ReadQuestions>({ what: 'questions', id: '', path, name, lesson, language }),
  );
  if (!read.ok) throw new ProblemError(read.problem);
  return read.given;
}

/** Lays something into a file for as long as it is worked on. */
async function withTemporary<T>(content: string | Uint8Array, work: (path: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-text-'));
  try {
    const path = join(folder, 'text');
    writeFileSync(path, content, { mode: 0o600 });
    return await work(path);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/**
 * Unpacks a zip of files, under the same limits, and hands over each of them; several pages are one folder of pages, a
 * zip in the zip is left alone. Whatever was written for it is gone afterwards.
 */
export async function withZip<T>(
  path: string,
  name: string,
  work: (files: { name: string; path: string }[]) => Promise<T>,
  signal?: AbortSignal,
): Promise<T | Extract<ReadResult, { ok: false }>> {
  const folder = mkdtempSync(join(tmpdir(), 'uplift-zip-'));
  try {
    const answer = await answerOf<Unpacked>(
      { what: 'unpack', id: '', path: resolve(path), name, into: folder },
      signal,
    );
    if (!answer.ok) return answer;
    const isPage = (file: { name: string }) => /\.x?html?$/i.test(file.name);
    if (answer.files.filter(isPage).length < 2) return await work(answer.files);
    const [pages, others] = [
      answer.files.filter((file) => OF_A_SITE.test(file.name)),
      answer.files.filter((file) => !OF_A_SITE.test(file.name)),
    ];
    const together = join(folder, 'pages');
    for (const page of pages) {
      // Names out of the zip are safe here: those that climb were left out when it was unpacked.
      mkdirSync(join(together, page.name, '..'), { recursive: true });
      renameSync(page.path, join(together, page.name));
    }
    return await work([{ name: name.replace(/\.zip$/i, ''), path: together }, ...others]);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function answerOf<T>(job: ReadingJob, signal?: AbortSignal): Promise<T | Refused> {
  const late = new AbortController();
  const timer = setTimeout(() => late.abort(), timeFor(job.path));
  const child = startChild(job, AbortSignal.any([late.signal, ...(signal ? [signal] : [])]));
  const chunks: Buffer[] = [];
  child.stdout.on('data', (chunk: Buffer) => chunks.push(chunk));
  try {
    const { code } = await new Promise<{ code: number | null }>((done, failed) => {
      child.on('error', (error) =>
        late.signal.aborted
          ? done({ code: null })
          : failed(signal?.aborted ? new ProblemError({ code: 'stopped', place: job.name }) : error),
      );
      child.on('close', (ended) => done({ code: ended }));
    });
    if (late.signal.aborted)
      return {
        ok: false,
        problem: {
          code: 'reader-too-slow',
          parameters: { seconds: Math.round(timeFor(job.path) / 1000) },
          place: job.name,
        },
      };
    if (code !== 0 || chunks.length === 0) return { ok: false, problem: { code: 'reader-stopped', place: job.name } };
    return deserialize(Buffer.concat(chunks)) as T;
  } finally {
    clearTimeout(timer);
  }
}

/** How long a file may take to be read, by its size; a folder as if it were large. */
function timeFor(path: string): number {
  const size = existsSync(path) ? (statSync(path).isDirectory() ? 16 : statSync(path).size / 1048576) : 0;
  return TIME.any + Math.ceil(size) * TIME.eachMegabyte;
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
  const [command, ...rest] = existsSync('/bin/sh')
    ? ['/bin/sh', '-c', `ulimit -v ${ADDRESS_SPACE} 2>/dev/null; exec "$0" "$@"`, ...run]
    : run;
  return spawn(command, rest, {
    stdio: ['ignore', 'pipe', 'ignore'],
    killSignal: 'SIGKILL',
    ...(signal && { signal }),
    env: { PATH: process.env.PATH },
  });
}

function childScript(): string {
  return join(programFolder(), 'reader.mjs');
}
