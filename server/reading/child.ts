// The reading process: untrusted files are parsed here, under limits the parent set, and nowhere else.
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { serialize } from 'node:v8';
import { readingOf } from '../../core/brief/asked';
import { ProblemError } from '../../core/document/problem';
import { readArchive } from '../../core/exchange/archive';
import { readOutline, type OutlineRead } from '../../core/own/file';
import { inspectFile } from '../../core/media/file';
import { LIMITS, readSource, type Given, type ReadResult } from '../../core/reading';
import { readAnswers } from '../../core/reading/answers';
import { unpack } from '../../core/reading/zip';
import type { Source } from '../../core/source/source';
import { readQuestions } from '../../core/questions/file';
import { freshId } from '../ids';
import { wordsIn } from '../language/lexicon';
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

const job = JSON.parse(process.argv[2]) as ReadingJob;
const WORK: Record<ReadingJob['what'], () => unknown> = {
  read,
  unpack: unpacked,
  archive,
  answers,
  outline,
  questions,
  media,
};
const bytes = serialize(await WORK[job.what]());
// Written whole before the process ends: a pipe takes large data in pieces.
process.stdout.write(bytes, () => process.exit(0));

async function read(): Promise<ReadResult> {
  const given = open();
  return 'ok' in given
    ? given
    : readSource({ ...given, ...(job.address && { address: job.address }) }, job.id, { wordsIn });
}

function outline(): Promise<OutlineRead> {
  return readOutline({ name: job.name, bytes: new Uint8Array(readFileSync(job.path)) }, job.title!);
}

function questions(): ReadQuestions | Refused {
  return refusing(() => {
    const bringing = { lessonId: job.lesson!, id: freshId };
    return {
      ok: true as const,
      given: readQuestions(job.name, new Uint8Array(readFileSync(job.path)), bringing, job.language!),
    };
  });
}

/** Unpacks a zip under names of ours: nothing of what its entries are called decides where they are written. */
function unpacked(): Unpacked | Refused {
  return refusing(() => {
    const entries = [...unpack(new Uint8Array(readFileSync(job.path)), (name) => !/(^|\/)(__MACOSX|\.)/.test(name))];
    return {
      ok: true as const,
      files: entries.map(([name, content], at) => {
        const path = join(job.into!, String(at));
        writeFileSync(path, content);
        return { name, path };
      }),
    };
  });
}

/** Opens an archive; its media, which may be large, are laid into files. */
function archive(): OpenedArchive | Refused {
  return refusing(() => {
    const { document, media: held } = readArchive(new Uint8Array(readFileSync(job.path)));
    const laid = [...held].map(([hash, content]): [string, { path: string }] => {
      const path = join(job.into!, hash);
      writeFileSync(path, content);
      return [hash, { path }];
    });
    return { ok: true as const, document, media: new Map(laid) };
  });
}

async function media(): Promise<InspectedMedia | Refused> {
  try {
    const { facts } = await inspectFile(new Uint8Array(readFileSync(job.path)), job.name);
    return { ok: true, facts };
  } catch (error) {
    return {
      ok: false,
      problem: error instanceof ProblemError ? error.problem : { code: 'cannot-open', place: job.name },
    };
  }
}

function answers(): Source | undefined {
  const { answers: given, title, language } = JSON.parse(readFileSync(job.path, 'utf8')) as GivenAnswers;
  return readAnswers(given, { id: job.id, title, language }, (question) => readingOf(question, language));
}

/** Runs what may meet a problem; it comes back as one, with the file's name. */
function refusing<T>(work: () => T): T | Refused {
  try {
    return work();
  } catch (error) {
    return {
      ok: false,
      problem:
        error instanceof ProblemError
          ? { ...error.problem, place: error.problem.place ?? job.name }
          : { code: 'zip-broken', place: job.name },
    };
  }
}

function open(): Given | Extract<ReadResult, { ok: false }> {
  try {
    if (statSync(job.path).isDirectory()) return { name: job.name, pages: pagesIn(job.path, '') };
    const { size } = statSync(job.path);
    if (size > LIMITS.fileBytes)
      return {
        ok: false,
        problem: {
          code: 'file-too-big',
          parameters: { megabytes: Math.ceil(size / 1048576), limit: LIMITS.fileBytes / 1048576 },
          place: job.name,
        },
      };
    return { name: job.name, bytes: new Uint8Array(readFileSync(job.path)) };
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    return {
      ok: false,
      problem: {
        code: code === 'ENOENT' ? 'no-such-file' : code === 'EACCES' ? 'not-allowed' : 'cannot-open',
        place: job.name,
      },
    };
  }
}

/**
 * HTML pages of a folder and its subfolders and the pictures beside them, as far as there is room for pictures; links
 * to elsewhere not followed.
 */
function pagesIn(
  folder: string,
  below: string,
  room = { pictures: LIMITS.fileBytes },
): { name: string; bytes: Uint8Array }[] {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => {
      const name = below ? `${below}/${entry.name}` : entry.name;
      if (entry.isDirectory() && below.split('/').length < 6) return pagesIn(join(folder, entry.name), name, room);
      if (!entry.isFile() || !OF_A_SITE.test(entry.name)) return [];
      const { size } = statSync(join(folder, entry.name));
      const isPage = /\.x?html?$/i.test(entry.name);
      if (size > LIMITS.fileBytes / 8 || (!isPage && size > room.pictures)) return [];
      // A folder of photographs does not keep its pages from being read.
      if (!isPage) room.pictures -= size;
      return [{ name, bytes: new Uint8Array(readFileSync(join(folder, entry.name))) }];
    });
}
