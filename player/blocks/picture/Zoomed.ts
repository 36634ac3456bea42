import { defineComponent, h, nextTick, ref, type PropType } from 'vue';
import type { PictureRef } from '../../../core/document/media';
import type { PartView } from '../part';

/** What fills a page's column has more to show than the column does. */
const COLUMN = { width: 640, height: 544 };

/** A picture; one that is larger than the page has room for is shown whole when it is pressed. */
export const Zoomed = defineComponent({
  props: {
    picture: { type: Object as PropType<PictureRef>, required: true },
    alt: { type: String, required: true },
    view: { type: Object as PropType<PartView>, required: true },
    /** It is shown small, however large it is. */
    small: Boolean,
  },
  setup(props) {
    const open = ref(false);
    const box = ref<HTMLDialogElement>();
    const show = async () => {
      open.value = true;
      await nextTick();
      box.value?.showModal();
    };
    return () => {
      const { picture, alt, view, small } = props;
      const image = (lazy: boolean) =>
        h('img', {
          src: view.media(picture),
          alt,
          width: picture.width,
          height: picture.height,
          ...(lazy && { loading: 'lazy' }),
        });
      if (!small && picture.width <= COLUMN.width && picture.height <= COLUMN.height) return image(true);
      const { larger, close } = view.words.media;
      return [
        h(
          'button',
          {
            type: 'button',
            class: 'up-zoom plain',
            'aria-label': alt ? `${larger}: ${alt}` : larger,
            onClick: () => void show(),
          },
          [image(true)],
        ),
        open.value
          ? h(
              'dialog',
              {
                ref: box,
                class: 'up-large',
                'aria-label': alt || larger,
                onClose: () => void (open.value = false),
                onClick: (event: Event) => event.target === box.value && box.value?.close(),
              },
              [h('button', { type: 'button', class: 'plain', onClick: () => box.value?.close() }, close), image(false)],
            )
          : null,
      ];
    };
  },
});
