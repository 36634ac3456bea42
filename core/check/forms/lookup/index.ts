import { evidencedSentences, textOf, type RichText } from '../../../document/rich-text';
import { idFrom } from '../../../document/id';
import type { Block } from '../../../blocks/forms';
import {
  alike,
  asOption,
  givenAway,
  pointsOut,
  quoteOf,
  type Candidate,
  type QuestionForm,
  type QuestionMatter,
  type Said,
} from '../form';

type Table = Extract<Block, { kind: 'table' }>;

/** Rows that are held against each other: few are told apart by chance. */
const FEWEST = { shaped: 3, source: 4 };
const WRONG = 3;
const LONGEST = { head: 22, cell: 26 };
/** Of one table so many rows are asked about, each further one less gladly. */
const MOST = 4;
const AGAIN = 0.03;

interface Row {
  head: string;
  cell: string;
  about: Said;
}

/**
 * What a row of a table says: what holds in a case, at a time or in a band, who does something, what belongs to a name,
 * what a column has for a row. Wrong answers are the same table's other rows, which hold there.
 */
export const lookupQuestions: QuestionForm = (matter) =>
  matter.blocks.flatMap((block) =>
    block.kind === 'table' && matter.pack.questions ? gladly(ofTable(block, matter)) : [],
  );

/** Questions by column. */
function ofTable(table: Table, matter: QuestionMatter): Candidate[][] {
  const { shapes } = matter.pack.labels;
  const [first, second] = table.body.header.map(textOf);
  const columns = Math.max(...table.body.rows.map((row) => row.length));
  if (first === shapes.who) return [asked(rowsOf(table, 1), matter, 'who')];
  if (columns === 2 && (first === undefined || second === shapes.then))
    return [asked(rowsOf(table, 1), matter, first === undefined ? 'name' : 'case')];
  if (first === undefined) return [];
  return table.body.header.slice(1).map((header, at) => {
    const column = textOf(header);
    return column ? asked(rowsOf(table, at + 1), matter, 'column', column) : [];
  });
}

/** The rows of a table by their first cell and one other, with where they stand; without one of the two, none. */
function rowsOf({ id, body }: Table, column: number): Row[] {
  return body.rows.flatMap((cells, at): Row[] => {
    const [head, cell]: (RichText | undefined)[] = [cells[0], cells[column]];
    const [left, right] = [textOf(head ?? []).trim(), textOf(cell ?? []).trim()];
    const ranges = evidencedSentences([...(head ?? []), ...(cell ?? [])]).flatMap(({ mark }) => mark.attrs.passages);
    if (!left || !right || ranges.length === 0) return [];
    // A cell that goes on in further sentences is asked about by its first.
    const [answer] = right.split(/(?<=[.!])\s+(?=\p{Lu})/u);
    return [
      { head: left, cell: answer, about: { id: idFrom('c', id, at, column), ranges, text: `${left}: ${right}` } },
    ];
  });
}

function asked(
  rows: readonly Row[],
  matter: QuestionMatter,
  how: 'case' | 'who' | 'name' | 'column',
  column = '',
): Candidate[] {
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
      if (wrong.length < WRONG && wrong.every((each) => !sameAnswer(answer(each), answer(other), how, matter)))
        wrong.push(other);
    if (wrong.length < 2 || givenAway(right, stem, wrong.map(answer), pack)) return [];
    return [
      {
        form: 'lookup',
        about: row.about,
        stem,
        right,
        wrong: wrong.map((other) => ({ text: answer(other), code: 'other-case', quotes: [quoteOf(other.about)] })),
        level: how === 'case' ? 'decide' : 'recall',
        difficulty: wrong.length >= WRONG ? 0.4 : 0.32,
        score: SCORES[how] + (wrong.length >= WRONG ? 0.05 : 0),
        reasons: [`wrong-answers:${wrong.length}`],
      },
    ];
  });
}

/** The questions of one table: its columns in turn, each from another row on, each further one asked less gladly. */
function gladly(columns: readonly Candidate[][]): Candidate[] {
  const rows = Math.max(0, ...columns.map((column) => column.length));
  return Array.from({ length: rows }, (_, at) =>
    columns.flatMap((column, nth) => column[(at + nth) % column.length] ?? []),
  )
    .flat()
    .slice(0, MOST)
    .map((candidate, nth) => ({ ...candidate, score: candidate.score - AGAIN * nth }));
}

const SCORES = { case: 0.82, who: 0.78, name: 0.76, column: 0.77 };

function stemOf(
  { head, cell }: Row,
  how: 'case' | 'who' | 'name' | 'column',
  column: string,
  { pack, title }: QuestionMatter,
): string | undefined {
  const words = pack.questions!;
  const bare = head.replace(/[\s,:;.]+$/, '');
  if (how === 'case') return words.inCase?.(bare);
  if (how === 'name') return words.belongsTo?.(bare, title);
  if (how === 'who') return words.whoDoes?.(cell);
  return words.inColumn?.(column, bare, title);
}

const count = (text: string) => text.split(/\s+/).length;

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
