import { h } from 'vue';
import { rich } from '../rich';
import type { TermsBody } from '../../../core/blocks/terms/form';
import type { BlockPart } from '../part';

export const terms: BlockPart<TermsBody> = ({ terms: entries }) =>
  h(
    'dl',
    { class: 'up-terms' },
    entries.map(({ term, text }) => h('div', [h('dt', term), h('dd', [rich(text)])])),
  );
