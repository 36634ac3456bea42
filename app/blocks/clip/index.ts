import type { ClipBody } from '~~/core/blocks/clip/form';
import { fieldedNode } from '../fielded';
import type { BlockNode } from '../node';
import ClipForm from './ClipForm.vue';

const EMPTY: ClipBody = { title: '', caption: '', cues: [] };

export const clip: BlockNode<ClipBody> = {
  label: 'Sound or video',
  ...fieldedNode('clip', EMPTY, ClipForm),
  add: [{ label: 'Sound or video', body: () => EMPTY }],
};
