import { richText, type RichText } from '../../document/rich-text';
import { number, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** Something that is taken together, at a time: a talk, a walk-through, an exam. */
export interface EventBody {
  title: RichText;
  /** When it begins, by the clock of its place, with what that clock is ahead of UTC: `2027-02-03T18:30+01:00`. */
  start: string;
  /** The time zone of its place by the IANA's names, `Europe/Lisbon`. */
  zone: string;
  minutes: number;
  /** Where it is joined or told more of. */
  address?: string;
  text: RichText;
}

/** Addresses that a page may lead to. */
export const WEB_ADDRESS = /^https?:\/\/\S+$/;
const MOST_MINUTES = 7 * 24 * 60;

export const event: BlockForm<EventBody> = {
  body: object(
    {
      title: richText,
      start: string({
        pattern: /^\d{4}-(0[1-9]|1[0-2])-([0-2]\d|3[01])T([01]\d|2[0-3]):[0-5]\d[+-](0\d|1[0-4]):[0-5]\d$/,
      }),
      zone: string({ pattern: /^[A-Za-z][\w+-]*(\/[\w+-]+)*$/, max: 60 }),
      minutes: number({ min: 1, max: MOST_MINUTES, whole: true }),
      text: richText,
    },
    { address: string({ pattern: WEB_ADDRESS, max: 2000 }) },
  ),
  texts: (body) => [body.title, body.text],
  mapTexts: (body, change) => ({ ...body, title: change(body.title), text: change(body.text) }),
  plain: (body) => [timeOf(body)],
  framed: true,
};

/** Day, time and zone as a page says them whose reader's own way of writing dates is not known. */
export const timeOf = ({ start, zone }: Pick<EventBody, 'start' | 'zone'>): string =>
  `${start.slice(0, 10)}, ${start.slice(11, 16)} (${zone.replaceAll('_', ' ')})`;
