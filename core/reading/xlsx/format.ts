/** What a number in a sheet means, told by its format. */
export type NumberKind = 'plain' | 'date' | 'percent' | 'time';

/** Numbers of built-in formats (ECMA-376 part 1, 18.8.30) that are dates, times or shares. */
const BUILT_IN: Record<number, NumberKind> = {
  9: 'percent',
  10: 'percent',
  14: 'date',
  15: 'date',
  16: 'date',
  17: 'date',
  18: 'time',
  19: 'time',
  20: 'time',
  21: 'time',
  22: 'date',
  45: 'time',
  46: 'time',
  47: 'time',
};

/** The kind and the currency sign of a format; `code` is its own text, where it is not built in. */
export function numberFormat(id: number, code?: string): { kind: NumberKind; sign: string } {
  if (code === undefined) return { kind: BUILT_IN[id] ?? 'plain', sign: '' };
  const sign = /\[\$([^\]-]*)[^\]]*\]|"?([£$€¥])"?/.exec(code);
  const bare = code.replace(/\[[^\]]*\]|"[^"]*"|\\./g, '');
  const kind: NumberKind = /[yd]/i.test(bare)
    ? 'date'
    : /[hs]/i.test(bare)
      ? 'time'
      : bare.includes('%')
        ? 'percent'
        : 'plain';
  return { kind, sign: (sign?.[1] ?? sign?.[2] ?? '').trim() };
}

const DAY = 86_400_000;
/** Day 0 of the two calendars sheets count by, in milliseconds UTC. The one of 1900 counts a day that was not. */
const EPOCHS = { 1900: -2_209_161_600_000, 1904: -2_082_844_800_000 };

/** A cell's number as a person reads it: dates as YYYY-MM-DD, shares in percent, money with its sign. */
export function shownNumber(raw: string, { kind, sign }: { kind: NumberKind; sign: string }, from1904 = false): string {
  const value = Number(raw);
  if (!Number.isFinite(value)) return raw;
  if (kind === 'percent') return `${rounded(value * 100)}%`;
  if (kind === 'plain') return `${sign}${rounded(value)}`;
  const at = Math.round(((from1904 ? EPOCHS[1904] : EPOCHS[1900]) + value * DAY) / 1000);
  const two = (number: number) => String(number).padStart(2, '0');
  const seconds = ((at % 86_400) + 86_400) % 86_400;
  const clock = `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}`;
  if (kind === 'time' && value < 1) return clock;
  const { year, month, day } = calendar(Math.floor(at / 86_400));
  return `${year}-${two(month)}-${two(day)}${seconds > 0 ? ` ${clock}` : ''}`;
}

function rounded(value: number): string {
  return String(Math.round(value * 1e6) / 1e6);
}

/** Year, month and day of a day counted from 1970 (Howard Hinnant's algorithm for the civil calendar). */
function calendar(days: number): { year: number; month: number; day: number } {
  const z = days + 719_468;
  const era = Math.floor(z / 146_097);
  const dayOfEra = z - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shifted = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * shifted + 2) / 5) + 1,
  };
}
