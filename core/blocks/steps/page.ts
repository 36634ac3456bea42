import type { RichText } from '../../document/rich-text';
import type { BlockPage } from '../page';
import type { StepsBody } from './form';

export const steps: BlockPage<StepsBody> = (body, view) => {
  const detail = (texts: RichText[] = []) =>
    texts.map((text) => `<div class="up-detail">${view.rich(text)}</div>`).join('');
  const steps = body.steps.map((step) => `<li>${view.rich(step.text)}${detail(step.detail)}</li>`);
  return `<ol class="up-steps">${steps.join('')}</ol>`;
};
