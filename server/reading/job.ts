import type { Answer } from '../../core/course/course';
import type { CourseDocument } from '../../core/exchange/document';
import type { Problem } from '../../core/document/problem';
import type { MediaFacts } from '../../core/media/file';
import type { BroughtQuestions } from '../../core/questions/given';

/**
 * What the reading process is asked: to read a file or a folder of HTML pages, unpack a zip, open an archive, read
 * answers, or read an author's outline or questions, or tell what a file of media is.
 */
export interface ReadingJob {
  what: 'read' | 'unpack' | 'archive' | 'answers' | 'outline' | 'questions' | 'media';
  /** The source's id for life. */
  id: string;
  path: string;
  name: string;
  /** Where it was fetched from. */
  address?: string;
  /** Of an outline: what a module of lines without levels is called. */
  title?: string;
  /** Of questions: whose figures are read in the way of which language, and the lesson they are for. */
  language?: string;
  lesson?: string;
  /** To unpack, and for an archive's media: the folder to unpack into. */
  into?: string;
}

/** What was unpacked: files under names of ours, in the order of the zip, with the names they had there. */
export interface Unpacked {
  ok: true;
  files: { name: string; path: string }[];
}

/** Questions out of a file. */
export interface ReadQuestions {
  ok: true;
  given: BroughtQuestions;
}

/** What a file of media is. */
export interface InspectedMedia {
  ok: true;
  facts: MediaFacts;
}

/** A course archive, opened and checked as a whole; its media lie where they were unpacked. */
export interface OpenedArchive {
  ok: true;
  document: CourseDocument;
  media: Map<string, { path: string }>;
}

/** Answers to be read, as they lie in the job's file. */
export interface GivenAnswers {
  answers: readonly Answer[];
  title: string;
  language: string;
}

export interface Refused {
  ok: false;
  problem: Problem;
}

/** Files that together are one source: pages and the pictures beside them. */
export const OF_A_SITE = /\.(?:x?html?|png|jpe?g|gif|webp)$/i;
