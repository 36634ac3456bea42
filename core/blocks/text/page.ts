import type { BlockPage } from '../page';
import type { TextBody } from './form';

export const text: BlockPage<TextBody> = (body, view) => `<p>${view.rich(body.text)}</p>`;
