import type { GalleryBody } from '~~/core/blocks/gallery/form';
import { fieldedNode } from '../fielded';
import type { BlockNode } from '../node';
import GalleryForm from './GalleryForm.vue';

const EMPTY: GalleryBody = { pictures: [], show: 'grid' };

export const gallery: BlockNode<GalleryBody> = {
  label: 'Gallery',
  ...fieldedNode('gallery', EMPTY, GalleryForm),
  add: [
    { label: 'Gallery', body: () => EMPTY },
    { label: 'Slides to leaf through', body: () => ({ ...EMPTY, show: 'slides' }) },
  ],
};
