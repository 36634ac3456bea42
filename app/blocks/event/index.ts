import type { EventBody } from '~~/core/blocks/event/form';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';
import EventCard from './EventCard.vue';
import { ownZone, zonedTime } from './zoned';

const NAMES: TitledNames = {
  block: 'event',
  part: 'eventPart',
  title: 'eventTitle',
  blockClass: 'up-event',
  titleTag: 'p',
  titleClass: 'up-side',
  hint: 'What takes place',
  single: true,
  parts: 1,
  attributes: {
    start: { default: '2030-01-01T10:00+00:00', mark: 'data-start' },
    zone: { default: 'UTC', mark: 'data-zone' },
    minutes: { default: '60', mark: 'data-minutes' },
    address: { default: '', mark: 'data-address' },
  },
  view: EventCard,
};

/** Tomorrow at ten, by the clock here: a time to be set to the right one. */
function tomorrow(): Pick<EventBody, 'start' | 'zone'> {
  const at = new Date();
  at.setDate(at.getDate() + 1);
  const day = [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((each) => String(each).padStart(2, '0'));
  const local = `${day.join('-')}T10:00`;
  const zone = ownZone();
  const start = zonedTime(local, zone);
  return start ? { start, zone } : { start: `${local}+00:00`, zone: 'UTC' };
}

export const event: BlockNode<EventBody> = {
  label: 'Live event',
  nodes: ['event'],
  to: ({ title, text, start, zone, minutes, address = '' }) =>
    toTitled(NAMES, [{ title, texts: [text] }], { start, zone, minutes: String(minutes), address }),
  from: (node) => {
    const [{ title, texts: [text = []] } = { title: [], texts: [] }] = fromTitled(node);
    const { start, zone, minutes, address } = node.attrs as Record<string, string>;
    return { title, start: start!, zone: zone!, minutes: Number(minutes), text, ...(address && { address }) };
  },
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Live event', body: () => ({ title: [], ...tomorrow(), minutes: 60, text: [] }) }],
};
