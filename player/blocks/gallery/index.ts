import { h } from 'vue';
import type { GalleryBody } from '../../../core/blocks/gallery/form';
import type { BlockPart } from '../part';
import { galleryPicture } from './figure';
import { Slides } from './Slides';

export const gallery: BlockPart<GalleryBody> = (body, view) =>
  body.show === 'slides' && body.pictures.length > 1
    ? h(Slides, { body, view })
    : h(
        'ul',
        { class: 'up-gallery' },
        body.pictures.map((each) => h('li', [galleryPicture(each, view, true)])),
      );
