import { defineComponent, h, onMounted, ref, type PropType } from 'vue';
import { calendarAddress } from '../../../core/blocks/event/calendar';
import { timeOf, type EventBody } from '../../../core/blocks/event/form';
import { say } from '../../../core/words';
import type { BlockPart, PartView } from '../part';
import { rich } from '../rich';

/** A time in words of the course's language, by the clock of a zone or the reader's own. */
const spoken = (at: Date, language: string, timeZone?: string) =>
  // In the course's language, as the reader's own country writes it where that is the same language.
  new Intl.DateTimeFormat(
    navigator.languages.find((own) => language === 'und' || own.startsWith(language)) ?? language,
    {
      dateStyle: 'full',
      timeStyle: 'short',
      ...(timeZone && { timeZone }),
    },
  ).format(at);

/** When it is: in figures until the page runs, then in words, and by the reader's own clock where that differs. */
const When = defineComponent({
  props: {
    body: { type: Object as PropType<EventBody>, required: true },
    view: { type: Object as PropType<PartView>, required: true },
  },
  setup(props) {
    const running = ref(false);
    onMounted(() => void (running.value = true));
    const lines = (): string[] => {
      const { start, zone } = props.body;
      const plain = timeOf(props.body);
      if (!running.value) return [plain];
      const at = new Date(start);
      try {
        const there = spoken(at, props.view.language, zone);
        const here = spoken(at, props.view.language);
        const named = `${there} (${zone.replaceAll('_', ' ')})`;
        return there === here ? [named] : [named, say(props.view.words.eventHere, { time: here })];
      } catch {
        // A zone that this browser does not know: the figures say it all the same.
        return [plain];
      }
    };
    return () => {
      const [there, here] = lines();
      return [
        h('p', { class: 'up-when' }, [
          h('time', { datetime: props.body.start }, there),
          ` ${say(props.view.words.minutes, { minutes: props.body.minutes })}`,
        ]),
        here ? h('p', { class: 'up-when' }, here) : null,
      ];
    };
  },
});

export const event: BlockPart<EventBody> = (body, view) =>
  h('div', { class: 'up-event' }, [
    h('p', { class: 'up-side' }, [rich(body.title)]),
    h(When, { body, view }),
    ...(body.text.length > 0 ? [h('p', [rich(body.text)])] : []),
    h('p', { class: 'up-links' }, [
      ...(body.address
        ? [h('a', { href: body.address, target: '_blank', rel: 'noopener noreferrer' }, view.words.eventJoin), ' ']
        : []),
      h('a', { href: calendarAddress(body), download: 'event.ics' }, view.words.eventKeep),
    ]),
  ]);
