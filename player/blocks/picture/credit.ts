import { h, type VNode } from 'vue';
import type { MediaRef } from '../../../core/document/media';
import type { PartView } from '../part';

/** Whose a file is, where learners are to read it. */
export function credit(ref: MediaRef, view: PartView): VNode[] {
  const words = view.credit?.(ref);
  return words ? [h('p', { class: 'up-credit' }, words)] : [];
}
