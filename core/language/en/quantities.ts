import type { Quantity } from '../pack';

const SMALL = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];
const WORD_VALUES = new Map<string, number>([
  ...SMALL.map((word, value) => [word, value] as const),
  ...TENS.flatMap((ten, at) =>
    ten
      ? [
          [ten, at * 10] as const,
          ...SMALL.slice(1, 10).map((word, unit) => [`${ten}-${word}`, at * 10 + unit + 1] as const),
        ]
      : [],
  ),
  ['hundred', 100],
  ['a hundred', 100],
  ['one hundred', 100],
  ['a dozen', 12],
]);

const WORDED = [...WORD_VALUES.keys()].sort((a, b) => b.length - a.length || (a < b ? -1 : 1)).join('|');
const NUMBER = `(?:\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|\\d+(?:\\.\\d+)?|(?:${WORDED})(?: and a half)?)`;

/** Unit spellings -> one form, its dimension. */
const UNITS: [RegExp, string, string][] = [
  [/^(working|business|bank|office|opening|school|trading) days?\b/, 'workday', 'days'],
  [/^(calendar )?days?\b/, 'day', 'days'],
  [/^weeks?\b/, 'week', 'weeks'],
  [/^months?\b/, 'month', 'months'],
  [/^years?\b/, 'year', 'years'],
  [/^hours?\b|^hrs?\b/, 'hour', 'hours'],
  [/^minutes?\b|^mins?\b/, 'minute', 'minutes'],
  [/^seconds?\b|^secs?\b/, 'second', 'seconds'],
  [/^(%|per ?cent\b|percent\b)/, 'percent', 'percent'],
  [/^(pounds?|GBP)\b/, 'GBP', 'GBP'],
  [/^(euros?|EUR)\b/, 'EUR', 'EUR'],
  [/^(dollars?|USD)\b/, 'USD', 'USD'],
  [/^(pence|p)\b/, 'pence', 'pence'],
  [/^cents?\b/, 'cent', 'cent'],
  [/^(km|kilomet(er|re)s?)\b/, 'km', 'km'],
  [/^(miles?)\b/, 'mile', 'mile'],
  [/^(cm|centimet(er|re)s?)\b/, 'cm', 'cm'],
  [/^(mm|millimet(er|re)s?)\b/, 'mm', 'mm'],
  [/^(m|met(er|re)s?)\b/, 'metre', 'metre'],
  [/^(feet|foot|ft)\b/, 'foot', 'foot'],
  [/^(inch(es)?)\b/, 'inch', 'inch'],
  [/^(kg|kilos?|kilograms?)\b/, 'kg', 'kg'],
  [/^(mg|milligrams?)\b/, 'mg', 'mg'],
  [/^(g|grams?)\b/, 'g', 'g'],
  [/^(tonnes?|tons?)\b/, 'tonne', 'tonne'],
  [/^(ml|millilit(er|re)s?)\b/, 'ml', 'ml'],
  [/^(l|lit(er|re)s?)\b/, 'litre', 'litre'],
  [/^(°\s?C|degrees( celsius)?\b|°)/, 'degree', 'degree'],
  [/^(volts?|V)\b/, 'volt', 'volt'],
  [/^(amps?|amperes?|A|Ah)\b/, 'amp', 'amp'],
  [/^(watts?|W|Wh)\b/, 'watt', 'watt'],
  [/^(bytes?)\b/, 'byte', 'byte'],
  [/^(kB|KB|kilobytes?|KiB)\b/, 'kB', 'kB'],
  [/^(MB|megabytes?|MiB)\b/, 'MB', 'MB'],
  [/^(GB|gigabytes?|GiB)\b/, 'GB', 'GB'],
  [/^(people|persons?|guests|members|volunteers|employees|passengers|users)\b/, 'person', 'people'],
  [/^(characters?|letters)\b/, 'character', 'character'],
  [/^(words)\b/, 'word', 'word'],
  [/^(pages?)\b/, 'page', 'page'],
  [/^(times)\b/, 'time', 'times'],
  [/^(copies|copy)\b/, 'copy', 'copy'],
  [/^(items?|tools?|batteries|chargers|bags?|boxes|meals?|bytes)\b/, 'item', 'item'],
];

const PATTERN = new RegExp(
  `(?<![\\w.,/§-])([£$€])?(${NUMBER})(?![\\d/]|\\.\\d|-\\d)(?:\\s?(%|°\\s?C)|[ -]([A-Za-z]+(?: days?)?))?`,
  'gi',
);

/** Numbers with a unit, in order. Bare numbers, years, versions and numbers of sections are left out. */
export function quantitiesOf(sentence: string): Quantity[] {
  const found: Quantity[] = [];
  for (const match of sentence.matchAll(PATTERN)) {
    const [whole, currency, said, sign, word] = match;
    const from = match.index;
    const numberFrom = from + (currency ? 1 : 0);
    const value = valueOf(said);
    if (value === undefined) continue;
    if (
      /\b(section|chapter|clause|step|figure|table|page|version|appendix|rule|level|no\.?|number|article|RFC|part)\s*$/i.test(
        sentence.slice(Math.max(0, from - 14), from),
      )
    )
      continue;
    const unit = currency
      ? ({ '£': ['GBP', 'GBP'], $: ['USD', 'USD'], '€': ['EUR', 'EUR'] } as const)[currency as '£']
      : unitOf(sign ?? word ?? '', sentence.slice(numberFrom + said.length).trimStart());
    if (!unit) continue;
    const to = currency
      ? numberFrom + said.length
      : from +
        (sign || unit[2] === undefined
          ? whole.length
          : sentence.slice(from).indexOf(said) + said.length + gap(sentence, numberFrom + said.length) + unit[2]);
    found.push({
      from,
      to,
      value,
      unit: unit[0],
      dimension: unit[1],
      number: { from: numberFrom, to: numberFrom + said.length },
      worded: /[a-z]/i.test(said),
    });
  }
  return found;
}

/** Every number of a sentence, in digits or words, with its value: those of sections, versions and years too. */
export function numbersOf(sentence: string): { value: number; from: number; to: number }[] {
  return [...sentence.matchAll(PATTERN)].flatMap((match) => {
    const value = valueOf(match[2]);
    const from = match.index + (match[1] ? 1 : 0);
    return value === undefined ? [] : [{ value, from, to: from + match[2].length }];
  });
}

/** The value of a number as written, in digits or words; undefined when it is none. */
export function valueOf(said: string): number | undefined {
  const lower = said.toLowerCase();
  if (/^\d/.test(lower)) return Number(lower.replace(/,/g, ''));
  const half = lower.endsWith(' and a half');
  const base = WORD_VALUES.get(half ? lower.slice(0, -11) : lower);
  return base === undefined ? undefined : base + (half ? 0.5 : 0);
}

/** A number written the way another one is: words up to twenty and tens for words, digits with thousands commas. */
export function writtenLike(value: number, worded: boolean): string {
  if (worded) {
    const word = [...WORD_VALUES].find(([key, each]) => each === value && !key.includes(' '))?.[0];
    if (word) return word;
  }
  return value >= 10_000 ? String(value).replace(/\B(?=(\d{3})+(?!\d))/g, ',') : String(value);
}

function unitOf(word: string, rest: string): [string, string, number?] | undefined {
  if (!word) return undefined;
  if (word.startsWith('%')) return ['percent', 'percent'];
  if (word.startsWith('°')) return ['degree', 'degree'];
  const unit = UNITS.find(([pattern]) => pattern.test(rest.replace(/^-/, '')));
  if (!unit) return undefined;
  return [unit[1], unit[2], unit[0].exec(rest.replace(/^-/, ''))![0].length];
}

function gap(sentence: string, at: number): number {
  return /^[\s-]*/.exec(sentence.slice(at))![0].length;
}

/** Another figure, written like a quantity is: its currency, unit and way of writing. */
export function withValue(quantity: { text: string; worded: boolean }, value: number): string {
  const number = /^[£$€]?([\d,.]+|[a-z]+(?:-[a-z]+)?(?: and a half)?)/i.exec(quantity.text)!;
  const currency = /^[£$€]/.exec(quantity.text)?.[0] ?? '';
  let unit = quantity.text.slice(number[0].length);
  if (value === 1) unit = unit.replace(/([a-z]{3,})s\b(?!.*s\b)/, '$1');
  const figures = writtenLike(value, quantity.worded);
  // "£2,000" goes on as "£1,400", "2000 m" as "1400 m".
  const isGrouped = /^\d{4,}$/.test(figures) && !/\d{4}/.test(quantity.text);
  return currency + (isGrouped ? figures.replace(/\B(?=(?:\d{3})+$)/g, ',') : figures) + unit;
}
