import type { Mark, Passage, PassageKind, Picture } from './source';

/** What every format reader gives: the source as a flat stream, headings among it. */
export type ReadBlock = ReadHeading | ReadPassage | ReadPicture;

interface Placed {
  page?: number;
  slide?: number;
  seconds?: number;
  anchor?: string;
  file?: string;
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
  callout?: Passage['callout'];
}

export interface ReadPicture extends Placed {
  kind: 'picture';
  picture: Omit<Picture, 'near'>;
}

/** A document as a reader hands it over; `assemble` makes it a source. */
export interface ReadDocument {
  title?: string;
  language?: string;
  blocks: ReadBlock[];
  /** Bytes of pictures by hash. */
  media: Map<string, Uint8Array>;
  notices: { code: string; parameters?: Record<string, string | number> }[];
}
