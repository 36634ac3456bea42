import type { Band, DecisionWording } from '../../../language/pack';
import { figureIn, isLadder } from '../bands';
import { alike, asOption, quoteOf, spreadOver, type Candidate, type Deed, type QuestionMatter } from '../form';
import { columnsOf, count, type Column, type Row } from '../rows';
import { OF_AUTHOR, storyOf, TURNS, WRONG } from './story';

/** Of a table so many rows come up. */
const ROWS = 3;
const LONGEST = 18;
/** A measure of more words says something besides. */
const MEASURE = 5;
/** What a cell sends its reader to ("200 or below" sends nowhere); "it" and "them" are what the table is about. */
const ELSEWHERE = /\b(?:this|these|those|such|see|section)\b|(?<!\bor )\b(?:above|below)\b(?! [£$€\d])/i;

/** Tables that say what is done, or who does it, case by case or band by band: of each the first such column. */
export const ofTables = (matter: QuestionMatter, wording: DecisionWording): Candidate[] =>
  matter.blocks.flatMap((block) =>
    block.kind === 'table'
      ? columnsOf(block, matter.pack.labels)
          .flatMap((column) => ofColumn(column, matter, wording))
          .slice(0, 1)
      : [],
  );

/** A row as a case: what is so, as the first and as a further one. */
interface Told {
  row: Row;
  text: string;
  scene(again: boolean): string;
}

function ofColumn({ how, heads, rows }: Column, matter: QuestionMatter, wording: DecisionWording): Candidate[] {
  const { pack } = matter;
  const bands = rows.map(({ head }) => pack.bandOf?.(head));
  // "None", "2 to 20 crowns", "More than 20 crowns": what is no band stands beside them.
  const ladder = bands.filter((band) => band !== undefined).sort((a, b) => a.from - b.from);
  const isBanded = ladder.length >= TURNS.fewest && isLadder(ladder);
  // How long or how much is known, not decided; a deed may well name a figure.
  const isFigure = ({ cell }: Row) =>
    /^\d[\d.,]*$/.test(cell) ||
    (count(cell) <= MEASURE && (pack.facts?.(cell, pack.tags?.(cell) ?? []).quantities.length ?? 0) > 0);
  const isMeasured = rows.filter(isFigure).length * 2 > rows.length;
  const isDecided = how === 'column' && wording.decides(heads[1]) && !isMeasured;
  if (how !== 'case' && !isDecided) return [];
  const told = rows.flatMap((row, at): Told[] => {
    const scene = sceneOf(row, isBanded ? bands[at] : undefined, { how, heads }, matter, wording);
    const text = asOption(row.cell);
    return scene && count(text) <= LONGEST && !ELSEWHERE.test(text) && !OF_AUTHOR.test(text)
      ? [{ row, text, scene }]
      : [];
  });
  const differ = (a: string, b: string) => a !== b && (/\d/.test(b) || !alike(a, b, pack));
  const turns = told.flatMap((each) => {
    const others = told.filter((other) => other !== each && differ(each.text, other.text));
    const wrong = others.filter((other, at) => others.slice(0, at).every((one) => differ(one.text, other.text)));
    return wrong.length >= WRONG.fewest ? [{ ...each, wrong: spreadOver(wrong, WRONG.most) }] : [];
  });
  // The same answer again and again is no decision.
  const chosen = spreadOver(
    turns.filter(({ text }, at) => turns.findIndex((other) => other.text === text) === at),
    ROWS,
  );
  if (chosen.length < TURNS.fewest) return [];
  const deed = ({ text, row }: Told, said: (sentence: string) => string): Deed => ({
    text,
    follows: said(row.about.text),
    quotes: [quoteOf(row.about)],
  });
  return [
    storyOf(
      matter,
      wording,
      chosen.map((each, at) => ({
        text: each.scene(at > 0),
        right: deed(each, wording.holds),
        wrong: each.wrong.map((other) => deed(other, wording.elsewhere)),
      })),
      chosen.flatMap(({ row, wrong }) => [row.about, ...wrong.map((other) => other.row.about)]),
      isBanded ? 0.84 : 0.78,
    ),
  ];
}

/** What is so in a row: a figure inside of its band, its case as a fact, or its head by name. */
function sceneOf(
  { head }: Row,
  band: Band | undefined,
  { how, heads }: Pick<Column, 'how' | 'heads'>,
  { pack }: QuestionMatter,
  wording: DecisionWording,
): Told['scene'] | undefined {
  if (how === 'case' && !band) {
    const fact = wording.fact(head);
    return fact && !wording.goesOn(fact) ? (again) => wording.scene(fact, again) : undefined;
  }
  const value = band ? pack.written!(band.like, figureIn(band)) : head;
  return (again) => wording.row(heads[0], value, heads[1], again);
}
