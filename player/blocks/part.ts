import type { VNode } from 'vue';
import type { MediaRef } from '../../core/document/media';
import type { Words } from '../../core/words';

/** What a block needs of the page it stands on. */
export interface PartView {
  words: Words;
  /** Of the course, by which dates are said. */
  language: string;
  /** The sites whose pages may be shown. */
  embeds: readonly string[];
  /** The address of a media file, from where the page is. */
  media(ref: MediaRef): string;
}

/** A block of a kind as a learner sees it. */
export type BlockPart<Body> = (body: Body, view: PartView) => VNode;
