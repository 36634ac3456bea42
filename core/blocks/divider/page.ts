import type { BlockPage } from '../page';
import type { DividerBody } from './form';

export const divider: BlockPage<DividerBody> = () => '<hr class="up-divider">';
