import Papa from 'papaparse';
import type { Check } from '../checks/forms';
import { decodeText } from '../reading/text/decode';
import { readSheets } from '../reading/xlsx';
import { checkFrom, type PlainQuestion } from './plain';
import type { Bringing, GivenQuestions, LeftQuestion } from './given';

/** What a column is, by its heading. */
const HEADINGS: [field: keyof Row, names: RegExp][] = [
  ['stem', /^(question|stem|prompt|frage|pregunta)( text)?$/],
  ['options', /^((option|answer|choice|antwort|r\u00e9ponse|respuesta|opci\u00f3n|choix)\s*([a-z]|\d{1,2})|[a-h])$/],
  [
    'answer',
    /^(correct|right|key|solution|answers?|correct answers?|richtig|l\u00f6sung|antwort|correcte?|correcta|r\u00e9ponse)$/,
  ],
  ['feedback', /^(feedback|explanation|why|r\u00fcckmeldung|erkl\u00e4rung|explication|explicaci\u00f3n)$/],
  ['points', /^(points?|score|punkte?|puntos?)$/],
  ['type', /^(type|kind|art|tipo)$/],
];
interface Row {
  stem: string;
  options: string[];
  answer: string;
  feedback: string;
  points: string;
  type: string;
}

/** Questions out of separated values: a row each, under headings that say what a column is. */
export const readTable = (bytes: Uint8Array, bringing: Bringing, language: string): GivenQuestions => {
  const { data } = Papa.parse<string[]>(decodeText(bytes).text, { delimitersToGuess: [',', ';', '\t', '|'] });
  return fromRows(data, bringing, language, '');
};

/** Questions out of a workbook: of every sheet that has such headings. */
export function readWorkbook(bytes: Uint8Array, bringing: Bringing, language: string): GivenQuestions {
  const { sheets } = readSheets(bytes);
  const found = sheets.map(({ name, rows }) => fromRows(rows, bringing, language, sheets.length > 1 ? `${name} ` : ''));
  const good = found.filter(({ checks, left }) => checks.length > 0 || left.some(({ code }) => code !== 'no-question'));
  const all = good.length > 0 ? good : found.slice(0, 1);
  return { checks: all.flatMap(({ checks }) => checks), left: all.flatMap(({ left }) => left) };
}

function fromRows(rows: readonly string[][], bringing: Bringing, language: string, sheet: string): GivenQuestions {
  const head = rows.findIndex((row) => row.some((cell) => fieldOf(cell) === 'stem'));
  // Without a heading that says where the questions are, nothing is guessed.
  if (head < 0)
    return { checks: [], left: [{ code: 'no-question', place: `${sheet}1`, words: rows[0]?.join(', ') ?? '' }] };
  const fields = rows[head].map(fieldOf);
  const checks: Check[] = [];
  const left: LeftQuestion[] = [];
  rows.forEach((row, at) => {
    if (at <= head || row.every((cell) => cell.trim() === '')) return;
    const question = questionOf(row, fields);
    const check = checkFrom(question, bringing, language);
    if (typeof check === 'string') left.push({ code: check, place: `${sheet}${at + 1}`, words: question.stem });
    else checks.push(check);
  });
  return { checks, left };
}

const fieldOf = (heading: string): keyof Row | undefined => {
  const name = heading
    .trim()
    .toLowerCase()
    .replace(/[\s_-]+/g, ' ');
  return HEADINGS.find(([, names]) => names.test(name))?.[0];
};

function questionOf(row: readonly string[], fields: readonly (keyof Row | undefined)[]): PlainQuestion {
  const cells = (field: keyof Row) =>
    row
      .filter((_, at) => fields[at] === field)
      .map((cell) => cell.replace(/\s+/g, ' ').trim())
      .filter(Boolean);
  const points = Number((cells('points')[0] ?? '').replace(',', '.'));
  const [answer] = cells('answer');
  const [feedback] = cells('feedback');
  const [type] = cells('type');
  const pairs = cells('options').flatMap((cell): [string, string][] => {
    const [left, right] = cell.split(/->|=>|\u2192/).map((side) => side.trim());
    return right ? [[left, right]] : [];
  });
  return {
    stem: cells('stem')[0] ?? '',
    options: pairs.length > 1 ? [] : cells('options').map((text) => ({ text, right: false })),
    pairs: pairs.length > 1 ? pairs : [],
    ...(answer && { answer }),
    ...(feedback && { feedback }),
    ...(type && { type }),
    ...(cells('points').length > 0 && Number.isFinite(points) && points >= 0 && { points }),
  };
}
