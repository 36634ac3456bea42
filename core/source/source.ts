/** What a source is once it has been read. Plain data; nothing here knows a file format. */

export type PassageKind =
  | 'paragraph'
  | 'item'
  | 'row'
  | 'definition'
  | 'caption'
  | 'code'
  | 'quote'
  | 'footnote'
  | 'point'
  | 'note'
  | 'utterance';

/** A stretch of a passage's text that the source set apart. Offsets count UTF-16 units of `text`. */
export interface Mark {
  from: number;
  to: number;
  kind: 'strong' | 'emphasis' | 'code' | 'link';
  href?: string;
}

/** Where a passage stands in its source. `path` is the titles of the sections it lies in, outermost first. */
export interface Locator {
  path: string[];
  page?: number;
  slide?: number;
  /** Start, in seconds, of spoken words. */
  seconds?: number;
  anchor?: string;
  /** The number the document gives this paragraph ("4.1"), kept out of the text. */
  clause?: string;
  /** What the author was asked, where this answers it. */
  question?: string;
  /** The page of a folder of pages, or the part of a book. */
  file?: string;
}

export interface Passage {
  id: string;
  kind: PassageKind;
  text: string;
  locator: Locator;
  marks?: Mark[];
  /** Items of one list share its id. `continued`: a further paragraph of the item before. */
  list?: { id: string; ordered: boolean; depth: number; number?: number; continued?: boolean };
  /** Rows of one table share its id; `text` is the cells joined by " | ". */
  table?: { id: string; header: string[]; cells: string[] };
  /** The passage that introduces this item, row or code ("You must:"). */
  leadIn?: string;
  /** What a definition passage defines. */
  term?: string;
  speaker?: string;
  /** The source set it apart as a note, tip or warning. */
  callout?: 'note' | 'tip' | 'warning' | 'experience';
}

export interface Section {
  id: string;
  title: string;
  /** The number the source gave it ("3.2"), kept out of the title. */
  number?: string;
  level: number;
  /** Passages directly in this section, in order. */
  passages: string[];
  sections: Section[];
}

export interface Picture {
  /** SHA-256 of the bytes; the bytes travel beside the source. */
  hash: string;
  type: string;
  alt: string;
  /** The passage it stands before or after. */
  near?: string;
  /** The passage that is its caption. */
  caption?: string;
}

export type SourceKind =
  | 'docx'
  | 'pdf'
  | 'pptx'
  | 'epub'
  | 'html'
  | 'markdown'
  | 'text'
  | 'vtt'
  | 'srt'
  | 'odt'
  | 'odp'
  | 'ods'
  | 'rtf'
  | 'xlsx'
  | 'csv'
  | 'interview';

export interface Source {
  id: string;
  title: string;
  kind: SourceKind;
  /** Where it was fetched from, and the day it says it was written. */
  address?: string;
  published?: string;
  /** BCP 47 tag, `und` when it cannot be told. */
  language: string;
  /** SHA-256 of what was read, whatever the source's id: two sources of one version hold the same. */
  version: string;
  words: number;
  /** The one root section holds what stands before the first heading, and all sections. */
  root: Section;
  passages: Passage[];
  pictures: Picture[];
  /** What a reader noticed and the author should know. */
  notices: { code: string; parameters?: Record<string, string | number> }[];
}

/** Every section of a source, parents before children, in the order of the source. */
export function allSections(root: Section): Section[] {
  return [root, ...root.sections.flatMap(allSections)];
}

/** Passages by id. */
export function passageIndex(sources: readonly Source[]): Map<string, Passage> {
  return new Map(sources.flatMap((source) => source.passages.map((passage) => [passage.id, passage] as const)));
}
