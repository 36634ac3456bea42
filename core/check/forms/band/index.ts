import type { Band } from '../../../language/pack';
import { alike, asOption, quoteOf, shownOf, type Candidate, type QuestionForm, type QuestionMatter } from '../form';
import { columnsOf, count, type Column, type Row } from '../rows';

const BANDS = { fewest: 3, asked: 2 };
const LONGEST = 18;
/** How far into a band the figure lies that is asked about: not at an end, nor in the middle each time. */
const INTO = 0.6;
/** Behind the last end, so much of it. */
const BEYOND = 1.4;

/**
 * Which case a figure falls into: a table of bands that leave no gap gives a figure inside of one, and asks what holds
 * for it. Wrong answers are the other bands', which hold for other figures.
 */
export const bandQuestions: QuestionForm = (matter) =>
  matter.blocks.flatMap((block) =>
    block.kind === 'table' && matter.pack.bandOf && matter.pack.written && matter.pack.questions?.inColumn
      ? columnsOf(block, matter.pack.labels).flatMap((column) => asked(column, matter))
      : [],
  );

function asked({ how, heads: [, head], rows }: Column, matter: QuestionMatter): Candidate[] {
  const { pack, title } = matter;
  const bands = rows.map((row) => ({ row, band: pack.bandOf!(row.head) }));
  if (rows.length < BANDS.fewest || (how !== 'column' && how !== 'case') || !isLadder(bands.map(({ band }) => band)))
    return [];
  const answers = bands.map(({ row, band }) => ({ row, band: band!, text: asOption(row.cell) }));
  // The middle first: at the ends the words "up to" and "above" say it.
  const order = [...answers.slice(1, -1), ...answers.slice(-1), ...answers.slice(0, 1)];
  return order
    .flatMap(({ row, band, text }): Candidate[] => {
      const others = answers.filter(
        (other) =>
          other.row !== row && other.text !== text && (/\d/.test(other.text) || !alike(other.text, text, pack)),
      );
      const shown = shownOf(others);
      if (count(text) > LONGEST || shown.length < 2 || shown.some((other) => count(other.text) > LONGEST)) return [];
      const figure = pack.written!(band.like, figureIn(band));
      return [
        {
          form: 'band',
          about: row.about,
          stem: how === 'case' ? pack.questions!.inCase!(figure) : pack.questions!.inColumn!(head, figure, title),
          asks: { kind: 'choice', right: text, wrong: others.map((other) => wrongOf(other.text, other.row)) },
          level: 'decide',
          difficulty: 0.4,
          score: 0.87,
          reasons: [`wrong-answers:${shown.length}`],
        },
      ];
    })
    .slice(0, BANDS.asked);
}

const wrongOf = (text: string, row: Row) => ({ text, code: 'other-case' as const, quotes: [quoteOf(row.about)] });

/** Bands of one unit that follow one another without a gap or an overlap that matters. */
function isLadder(bands: readonly (Band | undefined)[]): boolean {
  return bands.every((band, at) => {
    const before = bands[at - 1];
    if (!band || band.like.unit !== bands[0]!.like.unit) return false;
    if (at === 0) return true;
    const end = before?.to;
    // "Up to 50", "51 to 250", "Above 250": the next begins where the last ends, or one step of counting on.
    return (
      end !== undefined &&
      band.from >= end &&
      band.from - end <= Math.max(1, end * 0.03) &&
      (band.to ?? Infinity) > band.from
    );
  });
}

/** A round figure inside of a band. */
function figureIn({ from, to }: Band): number {
  const value = to === undefined ? from * BEYOND : from + (to - from) * INTO;
  for (const step of [10 ** Math.floor(Math.log10(value)), 10 ** (Math.floor(Math.log10(value)) - 1), 1]) {
    const round = Math.round(value / Math.max(step, 1)) * Math.max(step, 1);
    if (round > from && round < (to ?? Infinity)) return round;
  }
  return value;
}
