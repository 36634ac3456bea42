import { Node } from '@tiptap/core';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import type { PictureBody } from '~~/core/blocks/picture/form';
import type { PictureRef } from '~~/core/document/media';
import { fromInline, toInline } from '~/editor/rich';
import { children, type BlockNode } from '../node';
import Picture from './Picture.vue';

/** A picture as the clipboard has it: by what the document says of it, never by its bytes. */
const parsed = (element: HTMLElement): PictureBody['picture'] | null => {
  try {
    return JSON.parse(element.dataset.picture ?? '') as PictureRef;
  } catch {
    return null;
  }
};

const Figure = Node.create({
  name: 'picture',
  group: 'block',
  content: 'text*',
  draggable: true,
  defining: true,
  isolating: true,
  addAttributes: () => ({
    picture: {
      default: null,
      parseHTML: parsed,
      renderHTML: ({ picture }) => ({ 'data-picture': JSON.stringify(picture) }),
    },
    alt: {
      default: '',
      parseHTML: (element) => element.dataset.alt ?? '',
      renderHTML: ({ alt }) => ({ 'data-alt': alt as string }),
    },
    decorative: {
      default: false,
      parseHTML: (element) => element.dataset.decorative === 'true',
      renderHTML: ({ decorative }) => (decorative ? { 'data-decorative': 'true' } : {}),
    },
    look: {
      default: null,
      parseHTML: (element) => element.dataset.look ?? null,
      renderHTML: ({ look }) => (look ? { 'data-look': look as string } : {}),
    },
  }),
  parseHTML: () => [
    {
      tag: 'figure[data-picture]',
      contentElement: 'figcaption',
      getAttrs: (element) => (parsed(element) ? null : false),
    },
  ],
  renderHTML: ({ HTMLAttributes }) => ['figure', HTMLAttributes, ['figcaption', 0]],
  addNodeView: () => VueNodeViewRenderer(Picture),
});

export const picture: BlockNode<PictureBody> = {
  label: 'Picture',
  nodes: ['picture'],
  to: ({ picture: ref, alt, decorative, caption, look }) => ({
    type: 'picture',
    attrs: { picture: ref, alt, decorative: decorative ?? false, look: look ?? null },
    content: toInline(caption),
  }),
  from: (node) => ({
    picture: node.attrs!.picture as PictureRef,
    alt: String(node.attrs!.alt),
    ...(node.attrs!.decorative === true && { decorative: true }),
    ...(node.attrs!.look === 'banner' && { look: 'banner' as const }),
    caption: fromInline(children(node)),
  }),
  extensions: () => [Figure],
  add: [],
};
