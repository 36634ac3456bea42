import type { MediaRef } from '../document/media';
import type { PassageRange, RichText } from '../document/rich-text';
import type { Words } from '../words';

/** What a page of HTML does with the parts of a block. */
export interface PageView {
  rich(text: RichText): string;
  /** A block that stands on passages as a whole. */
  cited(html: string, evidence: readonly PassageRange[]): string;
  check(checkId: string): string;
  /** The address of a media file, from where the page is. */
  media(ref: MediaRef): string;
  /** Whose a file is and what they allow, where learners are to read it. */
  credit(ref: MediaRef): string | undefined;
  words: Words;
}

/** A block of a kind as HTML, for pages without a script; its classes are those of the player, whose styles it has. */
export type BlockPage<Body> = (body: Body, view: PageView, evidence: readonly PassageRange[]) => string;
