import type { BlockPage } from '../page';
import type { FiguresBody } from './form';

export const figures: BlockPage<FiguresBody> = (body, view) => {
  const figures = body.figures.map(
    ({ value, text }) => `<div><dt>${view.rich(value)}</dt><dd>${view.rich(text)}</dd></div>`,
  );
  return `<dl class="up-figures">${figures.join('')}</dl>`;
};
