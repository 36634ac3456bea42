import { parseDateTime, toZoned } from '@internationalized/date';

const TWO = (value: number) => String(value).padStart(2, '0');

/**
 * A time by the clock of a zone (`2027-02-03T18:30`) with what that clock is ahead of UTC on that day, as the course
 * keeps it. Undefined where it is no time, or no zone that is known.
 */
export function zonedTime(local: string, zone: string): string | undefined {
  try {
    const minutes = Math.round(toZoned(parseDateTime(local), zone).offset / 60_000);
    const ahead = Math.abs(minutes);
    return `${local.slice(0, 16)}${minutes < 0 ? '-' : '+'}${TWO(Math.floor(ahead / 60))}:${TWO(ahead % 60)}`;
  } catch {
    return undefined;
  }
}

/** The zone of this browser, and all it knows. */
export const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
export const allZones = (): string[] => Intl.supportedValuesOf('timeZone');
