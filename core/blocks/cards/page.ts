import type { BlockPage } from '../page';
import type { CardsBody } from './form';

export const cards: BlockPage<CardsBody> = (body, view) => {
  const cards = body.cards.map(({ front, back }) => {
    const texts = back.map((text) => `<p>${view.rich(text)}</p>`).join('');
    return `<details class="up-card"><summary>${view.rich(front)}</summary>${texts}</details>`;
  });
  return `<div class="up-cards">${cards.join('')}</div>`;
};
