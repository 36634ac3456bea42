import { h, type FunctionalComponent, type VNodeChild } from 'vue';
import type { RichText, TextMark } from '../../core/document/rich-text';

/** Running text: our own table of marks, never HTML from the document. */
export const Rich: FunctionalComponent<{ text: RichText }> = ({ text }) =>
  text.map((run) => [...(run.marks ?? [])].reverse().reduce<VNodeChild>(marked, run.text));
Rich.props = ['text'];

/** Running text as a child of a block. */
export const rich = (text: RichText) => h(Rich, { text });

function marked(inner: VNodeChild, mark: TextMark): VNodeChild {
  switch (mark.type) {
    case 'strong':
      return h('strong', [inner]);
    case 'emphasis':
      return h('em', [inner]);
    case 'code':
      return h('code', [inner]);
    case 'link':
      return h('a', { href: mark.attrs.href, target: '_blank', rel: 'noopener noreferrer' }, [inner]);
    default:
      return inner;
  }
}
