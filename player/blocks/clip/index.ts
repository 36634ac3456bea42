import { h } from 'vue';
import type { ClipBody } from '../../../core/blocks/clip/form';
import type { BlockPart } from '../part';
import { credit } from '../picture/credit';
import Clip from './Clip.vue';

export const clip: BlockPart<ClipBody> = (body, view) =>
  h('figure', { class: 'up-clip' }, [
    ...(body.clip ? [h(Clip, { body, view, key: body.clip.hash })] : [h('p', { class: 'up-clip-title' }, body.title)]),
    ...(body.caption ? [h('figcaption', body.caption)] : []),
    ...(body.clip ? credit(body.clip, view) : []),
  ]);
