import { Node } from '@tiptap/core';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import { hostOf, type EmbedBody } from '~~/core/blocks/embed/form';
import { fromInline, toInline } from '~/editor/rich';
import { children, type BlockNode } from '../node';
import EmbedFrame from './EmbedFrame.vue';

const TITLE = 'A page of the web';
/** Each attribute as the clipboard has it. */
const kept = (name: string, value: string | null) => ({
  default: value,
  parseHTML: (element: HTMLElement) => element.getAttribute(`data-${name}`) ?? value,
  renderHTML: (own: Record<string, unknown>) =>
    own[name] === null ? {} : { [`data-${name}`]: String(own[name] as string) },
});

const Frame = Node.create({
  name: 'embed',
  group: 'block',
  content: 'text*',
  draggable: true,
  defining: true,
  isolating: true,
  addAttributes: () => ({
    address: kept('address', ''),
    title: kept('title', TITLE),
    width: kept('width', null),
    height: kept('height', null),
  }),
  parseHTML: () => [{ tag: 'figure[data-address]', contentElement: 'figcaption' }],
  renderHTML: ({ HTMLAttributes }) => ['figure', HTMLAttributes, ['figcaption', 0]],
  addNodeView: () => VueNodeViewRenderer(EmbedFrame),
});

/** A whole body of what is known of a page that is to be shown. */
export const embedOf = ({ address = '', title, width, height }: Partial<EmbedBody>): EmbedBody => ({
  address,
  title: title || hostOf(address) || TITLE,
  ...(width && height && { width, height }),
  caption: [],
});

export const embed: BlockNode<EmbedBody> = {
  label: 'Web page',
  nodes: ['embed'],
  to: ({ address, title, width, height, caption }) => ({
    type: 'embed',
    attrs: { address, title, width: width ? String(width) : null, height: height ? String(height) : null },
    content: toInline(caption),
  }),
  from: (node) => {
    const { address, title, width, height } = node.attrs as Record<string, string | null>;
    return {
      address: address ?? '',
      title: title?.trim() || TITLE,
      ...(width && height && { width: Number(width), height: Number(height) }),
      caption: fromInline(children(node)),
    };
  },
  extensions: () => [Frame],
  add: [{ label: 'Web page', body: () => embedOf({}) }],
};
