import type { JSONContent, Extensions } from '@tiptap/core';
import type { RichText } from '~~/core/document/rich-text';
import type { Words } from '~~/core/words';
import { fromInline, toParagraph } from '~/editor/rich';

/** What the desk's editor knows of a kind of block. */
export interface BlockNode<Body> {
  /** What authors call it. */
  label: string;
  /** The editor's top nodes that stand for it. */
  nodes: string[];
  /** The body as a node of the editor, and back. */
  to(body: Body): JSONContent;
  from(node: JSONContent): Body;
  /** What the editor's schema needs for it, beyond running text; `words` are what learners read on the page. */
  extensions?(words: Words): Extensions;
  /** Its places in the menu "Add": what each is called, and the new body. */
  add: { label: string; body: () => Body }[];
}

/** The nodes within a node. */
export const children = (node: JSONContent | undefined): JSONContent[] => node?.content ?? [];

/** The letters within a node, without marks. */
export const lettersOf = (node: JSONContent | undefined): string =>
  children(node)
    .map((part) => part.text ?? '')
    .join('');

/** The rich texts of the paragraphs within a node. */
export const paragraphsOf = (node: JSONContent | undefined): RichText[] =>
  children(node).map((paragraph) => fromInline(children(paragraph)));

/** A node of paragraphs. */
export const ofParagraphs = (type: string, texts: readonly RichText[], attrs?: JSONContent['attrs']): JSONContent => ({
  type,
  ...(attrs && { attrs }),
  content: texts.map(toParagraph),
});
