import { alike, asOption, quoteOf, shownOf, type Candidate, type QuestionForm, type QuestionMatter } from '../form';
import { figureIn, isLadder } from '../bands';
import { columnsOf, count, type Column, type Row } from '../rows';

const BANDS = { fewest: 3, asked: 2 };
const LONGEST = 18;

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
