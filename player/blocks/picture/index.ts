import { h } from 'vue';
import type { PictureBody } from '../../../core/blocks/picture/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';
import { credit } from './credit';
import { Zoomed } from './Zoomed';

export const picture: BlockPart<PictureBody> = ({ picture: ref, alt, decorative, caption, look }, view) =>
  h('figure', { class: ['up-picture', look && `up-${look}`] }, [
    h(Zoomed, { picture: ref, alt: decorative ? '' : alt, view }),
    ...(caption.length > 0 ? [h('figcaption', [rich(caption)])] : []),
    ...credit(ref, view),
  ]);
