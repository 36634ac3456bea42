import { severalHtml, type CheckPage } from '../page';
import type { AreaCheck } from './form';

/** Areas as a list of what is to be seen in them. */
export const area: CheckPage<AreaCheck> = severalHtml;
