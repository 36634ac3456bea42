import type { BlockPage } from '../page';
import type { CheckBody } from './form';

export const check: BlockPage<CheckBody> = (body, view) => view.check(body.checkId);
