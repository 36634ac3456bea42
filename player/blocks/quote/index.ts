import { h } from 'vue';
import type { QuoteBody } from '../../../core/blocks/quote/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

export const quote: BlockPart<QuoteBody> = ({ paragraphs, by }) =>
  h('figure', { class: 'up-quote' }, [
    h(
      'blockquote',
      paragraphs.map((text) => h('p', [rich(text)])),
    ),
    ...(by ? [h('figcaption', by)] : []),
  ]);
