import { defineComponent, h, nextTick, onMounted, ref, type PropType } from 'vue';
import { hostOf, mayEmbed, type EmbedBody } from '../../../core/blocks/embed/form';
import { say } from '../../../core/words';
import type { BlockPart, PartView } from '../part';
import { rich } from '../rich';

/**
 * What a page within the page may do: run, and open others. It is of no origin, so it reaches nothing of ours and keeps
 * nothing.
 */
export const EMBED_SANDBOX = 'allow-scripts allow-forms allow-popups';

const Frame = defineComponent({
  props: {
    body: { type: Object as PropType<EmbedBody>, required: true },
    view: { type: Object as PropType<PartView>, required: true },
  },
  setup(props) {
    const running = ref(false);
    const loaded = ref(false);
    const frame = ref<HTMLIFrameElement>();
    onMounted(() => void (running.value = true));
    const load = () => {
      loaded.value = true;
      void nextTick(() => frame.value?.focus());
    };
    return () => {
      const { address, title, width = 16, height = 9 } = props.body;
      const { words, embeds } = props.view;
      if (!address) return h('p', { class: 'up-links' }, title);
      const host = hostOf(address);
      const may = running.value && mayEmbed(address, embeds);
      return [
        may && loaded.value
          ? h('iframe', {
              ref: frame,
              src: address,
              title,
              sandbox: EMBED_SANDBOX,
              allow: 'fullscreen',
              referrerpolicy: 'no-referrer',
              style: { aspectRatio: `${width} / ${height}` },
            })
          : null,
        may && !loaded.value
          ? h('div', { class: 'up-wait', style: { aspectRatio: `${width} / ${height}` } }, [
              h('button', { type: 'button', onClick: load }, say(words.embedShow, { title, host })),
              h('p', words.embedWhy),
            ])
          : null,
        h('p', { class: 'up-links' }, [
          h(
            'a',
            { href: address, target: '_blank', rel: 'noopener noreferrer' },
            say(words.embedOpen, { title, host }),
          ),
          may && loaded.value && document.fullscreenEnabled
            ? h(
                'button',
                { type: 'button', class: 'plain', onClick: () => void frame.value?.requestFullscreen() },
                words.embedFull,
              )
            : null,
        ]),
      ];
    };
  },
});

export const embed: BlockPart<EmbedBody> = (body, view) =>
  h('figure', { class: 'up-embed' }, [
    h(Frame, { body, view }),
    ...(body.caption.length > 0 ? [h('figcaption', [rich(body.caption)])] : []),
  ]);
