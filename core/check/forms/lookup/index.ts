import {
  alike,
  asOption,
  givenAway,
  pointsOut,
  quoteOf,
  shownOf,
  WRONG_SHOWN,
  WRONG_SOUGHT,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
} from '../form';
import { columnsOf, count, type Asking, type Column, type Row } from '../rows';

/** Rows that are held against each other: few are told apart by chance. */
const FEWEST = { shaped: 3, source: 4 };
const LONGEST = { head: 22, cell: 26 };
/** Of one table so many rows are asked about, each further one less gladly. */
const MOST = 4;
const AGAIN = 0.03;

/**
 * What a row of a table says: what holds in a case, at a time or in a band, who does something, what belongs to a name,
 * what a column has for a row. Wrong answers are the same table's other rows, which hold there.
 */
export const lookupQuestions: QuestionForm = (matter) =>
  matter.blocks.flatMap((block) =>
    block.kind === 'table' && matter.pack.questions
      ? gladly(
          columnsOf(block, matter.pack.labels).map((column) => asked(column, matter)),
          matter.generous ? MOST * 4 : MOST,
        )
      : [],
  );

function asked({ how, heads: [, column], rows }: Column, matter: QuestionMatter): Candidate[] {
  const { pack } = matter;
  if (rows.length < (how === 'column' ? FEWEST.source : FEWEST.shaped)) return [];
  return rows.flatMap((row, at): Candidate[] => {
    const stem = stemOf(row, how, column, matter);
    const answer = (of: Row) => asOption(how === 'who' ? of.head : of.cell);
    const right = answer(row);
    if (!stem || !isAnswer(right, how) || !isHead(how === 'who' ? row.cell : row.head)) return [];
    const others = rows
      .map((other, place) => ({ other, far: Math.abs(place - at) }))
      .filter(
        ({ other }) => other !== row && isAnswer(answer(other), how) && !sameAnswer(answer(other), right, how, matter),
      )
      .sort((a, b) => a.far - b.far)
      .map(({ other }) => other);
    const wrong: Row[] = [];
    for (const other of others)
      if (wrong.length < WRONG_SOUGHT && wrong.every((each) => !sameAnswer(answer(each), answer(other), how, matter)))
        wrong.push(other);
    const shown = shownOf(wrong);
    if (shown.length < 2 || givenAway(right, stem, shown.map(answer), pack)) return [];
    return [
      {
        form: 'lookup',
        about: row.about,
        stem,
        asks: {
          kind: 'choice',
          right,
          wrong: wrong.map((other) => ({ text: answer(other), code: 'other-case', quotes: [quoteOf(other.about)] })),
        },
        level: how === 'case' ? 'decide' : 'recall',
        difficulty: shown.length >= WRONG_SHOWN ? 0.4 : 0.32,
        score: SCORES[how] + (shown.length >= WRONG_SHOWN ? 0.05 : 0),
        reasons: [`wrong-answers:${shown.length}`],
      },
    ];
  });
}

/** The questions of one table: its columns in turn, each from another row on, each further one asked less gladly. */
function gladly(columns: readonly Candidate[][], most: number): Candidate[] {
  const rows = Math.max(0, ...columns.map((column) => column.length));
  return Array.from({ length: rows }, (_, at) =>
    columns.flatMap((column, nth) => column[(at + nth) % column.length] ?? []),
  )
    .flat()
    .slice(0, most)
    .map((candidate, nth) => ({ ...candidate, score: candidate.score - AGAIN * Math.min(nth, MOST) }));
}

const SCORES = { case: 0.82, who: 0.78, name: 0.76, column: 0.77 };

function stemOf({ head, cell }: Row, how: Asking, column: string, { pack, title }: QuestionMatter): string | undefined {
  const words = pack.questions!;
  const bare = head.replace(/[\s,:;.]+$/, '');
  if (how === 'case') return words.inCase?.(bare);
  if (how === 'name') return words.belongsTo?.(bare, title);
  if (how === 'who') return words.whoDoes?.(cell);
  return words.inColumn?.(column, bare, title);
}

/** A short whole answer that points at nothing outside; a figure is one in a table. */
const isAnswer = (text: string, how: string): boolean =>
  count(text) <= LONGEST.cell &&
  !/[:`{}<>|]|https?:/.test(text) &&
  (how === 'column' || how === 'who' || (count(text) >= 2 && !pointsOut(text)));

/** What is asked about says by itself what it is. */
const isHead = (text: string): boolean =>
  count(text) <= LONGEST.head && !pointsOut(text) && !/[`{}<>|]|https?:/.test(text);

/** Figures differ or are the same; words may say the same in other words. */
const sameAnswer = (a: string, b: string, how: string, { pack }: QuestionMatter): boolean =>
  a.toLowerCase() === b.toLowerCase() ||
  (how !== 'column' && how !== 'who' && !/\d/.test(a + b) && alike(a, b, pack)) ||
  (how !== 'column' && (a.toLowerCase().includes(b.toLowerCase()) || b.toLowerCase().includes(a.toLowerCase())));
