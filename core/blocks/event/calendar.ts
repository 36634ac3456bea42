import ical from 'ical-generator';
import { shortHash } from '../../document/id';
import { textOf } from '../../document/rich-text';
import type { EventBody } from './form';

/**
 * An event as a file for calendars (iCalendar, RFC 5545), as the address of a link. The same event gives the same
 * letters, so a calendar that has it already puts it in the same place.
 */
export function calendarAddress({ title, start, minutes, address, text }: EventBody): string {
  // The start says how far its clock is from UTC, so this is the same moment on every machine.
  // eslint-disable-next-line uplift/sameness
  const begins = new Date(start);
  const calendar = ical({ prodId: '//Uplift Path//EN' });
  calendar.createEvent({
    id: `${shortHash(`${start} ${textOf(title)}`, 12)}@uplift`,
    stamp: begins,
    start: begins,
    // eslint-disable-next-line uplift/sameness
    end: new Date(begins.getTime() + minutes * 60_000),
    summary: textOf(title) || '\u2013',
    ...(text.length > 0 && { description: textOf(text) }),
    ...(address && { url: address }),
  });
  return `data:text/calendar;charset=utf-8,${encodeURIComponent(calendar.toString())}`;
}
