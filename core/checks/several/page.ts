import { severalHtml, type CheckPage } from '../page';
import type { SeveralCheck } from './form';

export const several: CheckPage<SeveralCheck> = severalHtml;
