import type { Side } from '~~/core/blocks/side';
import type { Titled } from './titled';

/** A side as a part under a title in the editor, and back. */
export const toPart = ({ title, items }: Side): Titled => ({ title, texts: items });
/** A side that nothing is said of has no items; the editor shows a line to write one on. */
export const toSide = ({ title, texts }: Titled): Side => ({
  title,
  items: texts.length === 1 && texts[0]!.length === 0 ? [] : texts,
});
