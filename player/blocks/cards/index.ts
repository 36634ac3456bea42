import { h } from 'vue';
import type { CardsBody } from '../../../core/blocks/cards/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

/** Disclosures: they turn by key and for screen readers, and without a script. */
export const cards: BlockPart<CardsBody> = (body) =>
  h(
    'div',
    { class: 'up-cards' },
    body.cards.map(({ front, back }) =>
      h('details', { class: 'up-card' }, [h('summary', [rich(front)]), ...back.map((text) => h('p', [rich(text)]))]),
    ),
  );
