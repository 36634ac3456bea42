import { h, type VNode } from 'vue';
import type { GalleryPicture } from '../../../core/blocks/gallery/form';
import type { PartView } from '../part';
import { credit } from '../picture/credit';
import { Zoomed } from '../picture/Zoomed';

/** A picture of a gallery with its caption. */
export const galleryPicture = (
  { id, picture, alt, decorative, caption }: GalleryPicture,
  view: PartView,
  small = false,
): VNode =>
  h('figure', { key: id }, [
    h(Zoomed, { picture, alt: decorative ? '' : alt, view, small }),
    ...(caption ? [h('figcaption', caption)] : []),
    ...credit(picture, view),
  ]);
