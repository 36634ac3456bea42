import type { Mark, Passage, PassageKind, Picture } from './source';

/** What every format reader gives: the source as a flat stream, headings among it. */
export type ReadBlock = ReadHeading | ReadPassage | ReadPicture;

interface Placed {
  page?: number;
  slide?: number;
  seconds?: number;
  anchor?: string;
  file?: string;
  question?: string;
}

export interface ReadHeading extends Placed {
  kind: 'heading';
  /** 1 is the outermost. */
  level: number;
  text: string;
}

export interface ReadPassage extends Placed {
  kind: PassageKind;
  text: string;
  marks?: Mark[];
  list?: { key: string; ordered: boolean; depth: number; number?: number; continued?: boolean };
  table?: { key: string; header: string[]; cells: string[] };
  term?: string;
  speaker?: string;
  /** The number the document gave this clause ("4.1"), taken off its text. */
  clause?: string;
  callout?: Passage['callout'];
}

export interface ReadPicture extends Placed {
  kind: 'picture';
  picture: Omit<Picture, 'near' | 'caption'>;
}

/** A document as a reader hands it over; `assemble` makes it a source. */
export interface ReadDocument {
  title?: string;
  /** The day the document says it was written, as YYYY-MM-DD. */
  published?: string;
  language?: string;
  blocks: ReadBlock[];
  /** Bytes of pictures by hash. */
  media: Map<string, Uint8Array>;
  notices: { code: string; parameters?: Record<string, string | number> }[];
}

/** A table's row as a passage; its text is the filled cells. `place`: its page, slide or list. */
export function readRow(key: string, header: string[], cells: string[], place: Partial<ReadPassage> = {}): ReadPassage {
  return { kind: 'row', text: cells.filter(Boolean).join(' | '), table: { key, header, cells }, ...place };
}

/** A passage without its first characters; marks move along. */
export function withoutStart<Block extends ReadPassage>(block: Block, length: number): Block {
  const marks = block.marks
    ?.map((mark) => ({ ...mark, from: Math.max(0, mark.from - length), to: mark.to - length }))
    .filter((mark) => mark.to > mark.from);
  return { ...block, text: block.text.slice(length), ...(marks && { marks }) };
}
