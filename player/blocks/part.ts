import type { VNode } from 'vue';
import type { HandedFile } from '../../core/checks/markings';
import type { MediaRef } from '../../core/document/media';
import type { Words } from '../../core/words';
import type { Drafts } from '../carriers/drafts';

/** Files on their way to who marks them. */
export interface Files {
  /** Sends one; `told` hears how far it is, 0 to 1. `done` fails with what is to be said. */
  send(check: string, file: File, told: (share: number) => void): { done: Promise<HandedFile>; stop: () => void };
  /** Where one that arrived can be saved from. */
  address(hash: string): string;
}

/** What a block needs of the page it stands on. */
export interface PartView {
  words: Words;
  /** Of the course, by which dates are said. */
  language: string;
  /** The sites whose pages may be shown. */
  embeds: readonly string[];
  /** The address of a media file, from where the page is. */
  media(ref: MediaRef): string;
  /** Where what is written is kept until it is handed in. */
  drafts?: Drafts;
  /** Absent where nobody can have files. */
  files?: Files;
}

/** A block of a kind as a learner sees it. */
export type BlockPart<Body> = (body: Body, view: PartView) => VNode;
