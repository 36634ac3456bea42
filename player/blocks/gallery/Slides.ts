import { defineComponent, h, ref, type PropType } from 'vue';
import type { GalleryBody } from '../../../core/blocks/gallery/form';
import { say } from '../../../core/words';
import type { PartView } from '../part';
import { galleryPicture } from './figure';

/** Pictures leafed through one by one: by press, or by the arrow keys while one is in focus. */
export const Slides = defineComponent({
  props: {
    body: { type: Object as PropType<GalleryBody>, required: true },
    view: { type: Object as PropType<PartView>, required: true },
  },
  setup(props) {
    const at = ref(0);
    const go = (by: number) => {
      at.value = Math.min(props.body.pictures.length - 1, Math.max(0, at.value + by));
    };
    const turned = (event: KeyboardEvent) => {
      if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
      event.preventDefault();
      const forward =
        (event.key === 'ArrowRight') === (getComputedStyle(event.currentTarget as Element).direction === 'ltr');
      go(forward ? 1 : -1);
    };
    return () => {
      const { pictures } = props.body;
      const { words } = props.view;
      const now = Math.min(at.value, pictures.length - 1);
      const step = (by: number, label: string, ends: boolean) =>
        h('button', { type: 'button', 'aria-disabled': ends, onClick: () => go(by) }, label);
      return h('section', { class: 'up-slides', 'aria-roledescription': 'carousel', onKeydown: turned }, [
        h('div', { class: 'up-slide', 'aria-live': 'polite' }, [galleryPicture(pictures[now]!, props.view)]),
        h('div', { class: 'up-leaf' }, [
          step(-1, words.media.before, now === 0),
          h('span', say(words.media.at, { at: now + 1, of: pictures.length })),
          step(1, words.media.next, now === pictures.length - 1),
        ]),
      ]);
    };
  },
});
