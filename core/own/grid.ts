import { anyOf } from '../language/phrases';
import { MOST_LINES, nested, ownLesson, ownModule, type OutlineLine, type OwnLesson, type OwnOutline } from './own';

/** What a column of an outline's table holds, by how it is headed, in the languages we read. */
const COLUMNS = {
  module: anyOf`module | unit | part | section | chapter | modul | teil | kapitel | unité | partie | chapitre | módulo | parte | capítulo`,
  lesson: anyOf`lesson | title | topic | page | session | lektion | titel | thema | leçon | titre | sujet | lección | título | tema`,
  objective: anyOf`objective | outcome | goal | aim | afterwards | learner can | lernziel | ziel | danach | objectif | objetivo`,
  minutes: anyOf`minutes | min | duration | length | time | minuten | dauer | durée | minutos | duración`,
  points: anyOf`points | content | contents | notes | details | inhalt | punkte | contenu | contenido`,
  level: anyOf`level | depth | ebene | niveau | nivel`,
} as const;
type Column = keyof typeof COLUMNS;

/**
 * Reads an outline out of a table's rows. With a head that names columns they say what each holds; without one, one
 * column is a list of lines (cells further right stand deeper), two or more are module, lesson and what can be done. An
 * empty module is that of the row above.
 */
export function outlineFromGrid(rows: readonly (readonly string[])[], moduleTitle: string): OwnOutline {
  const filled = rows
    .map((row) => row.map((cell) => cell.trim()))
    .filter((row) => row.some(Boolean))
    .slice(0, MOST_LINES);
  if (filled.length === 0) return { modules: [] };
  const columns = columnsIn(filled[0]);
  if (columns.has('lesson') || columns.has('module')) return fromColumns(filled.slice(1), columns, moduleTitle);
  // A cell a row, at different depths: a list that steps to the right.
  if (filled.every((row) => row.filter(Boolean).length === 1))
    return nested(
      filled.map((row): OutlineLine => ({ level: row.findIndex(Boolean), text: row.find(Boolean)! })),
      moduleTitle,
    );
  const order: Column[] = ['module', 'lesson', 'objective', 'minutes'];
  return fromColumns(filled, new Map(order.map((column, at) => [column, at])), moduleTitle);
}

function columnsIn(head: readonly string[]): Map<Column, number> {
  const found = new Map<Column, number>();
  for (const column of Object.keys(COLUMNS) as Column[]) {
    const at = head.findIndex(
      (cell, index) =>
        new RegExp(String.raw`(?<!\p{L})${COLUMNS[column]}s?(?!\p{L})`, 'iu').test(cell) &&
        ![...found.values()].includes(index),
    );
    if (at >= 0) found.set(column, at);
  }
  return found;
}

function fromColumns(
  rows: readonly (readonly string[])[],
  columns: ReadonlyMap<Column, number>,
  moduleTitle: string,
): OwnOutline {
  const cell = (row: readonly string[], column: Column) => row[columns.get(column) ?? -1] ?? '';
  if (columns.has('level') && !columns.has('module'))
    return nested(
      rows
        .filter((row) => cell(row, 'lesson') !== '')
        .map((row) => ({ level: Number(cell(row, 'level')) || 0, text: cell(row, 'lesson'), ...besides(row, cell) })),
      moduleTitle,
    );
  const modules: OwnOutline['modules'] = [];
  for (const row of rows) {
    const [module, lesson, objective] = [cell(row, 'module'), cell(row, 'lesson'), cell(row, 'objective')];
    if (module && module !== modules.at(-1)?.title)
      // A row with a module alone says what it is for.
      modules.push(ownModule(module, lesson ? '' : objective));
    if (!lesson) continue;
    if (modules.length === 0) modules.push(ownModule(moduleTitle));
    const points = cell(row, 'points')
      .split(/\n|;/)
      .map((point) => point.replace(/^\s*[-•*]\s*/, '').trim())
      .filter(Boolean);
    modules.at(-1)!.lessons.push(ownLesson({ text: lesson, ...besides(row, cell) }, points));
  }
  return {
    modules: modules.map((module) =>
      module.lessons.length > 0 ? module : { ...module, lessons: [{ title: module.title, points: [] }] },
    ),
  };
}

function besides(
  row: readonly string[],
  cell: (row: readonly string[], column: Column) => string,
): Pick<OwnLesson, 'objective' | 'minutes'> {
  const objective = cell(row, 'objective');
  const minutes = Number(/\d+(?:[.,]\d+)?/.exec(cell(row, 'minutes'))?.[0].replace(',', '.'));
  return { ...(objective && { objective }), ...(Number.isFinite(minutes) && { minutes }) };
}
