import { h } from 'vue';
import type { PictureBody } from '../../../core/blocks/picture/form';
import type { BlockPart } from '../part';
import { rich } from '../rich';

export const picture: BlockPart<PictureBody> = ({ picture: ref, alt, decorative, caption }, { media }) =>
  h('figure', { class: 'up-picture' }, [
    h('img', {
      src: media(ref),
      alt: decorative ? '' : alt,
      width: ref.width,
      height: ref.height,
      loading: 'lazy',
    }),
    ...(caption.length > 0 ? [h('figcaption', [rich(caption)])] : []),
  ]);
