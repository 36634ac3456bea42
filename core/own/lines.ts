import { anyOf } from '../language/phrases';
import { MOST_LINES, nested, type OutlineLine, type OwnOutline } from './own';

const MODULE_NAMES = anyOf`
  module | unit | part | section | chapter | block | week | day | modul | teil | kapitel | abschnitt | woche | tag
  module | unité | partie | chapitre | semaine | jour | módulo | unidad | parte | capítulo | semana | día
`;
const LESSON_NAMES = anyOf`
  lesson | topic | page | session | lektion | thema | seite | leçon | sujet | séance | lección | tema | sesión
`;
/** "Module 2: Returns", "Lesson 1.2 - The desk": says the level, and is no part of the title. */
const NAMED = new RegExp(
  String.raw`^(?:(?<module>${MODULE_NAMES})|(?<lesson>${LESSON_NAMES}))\s+(?:\d+(?:\.\d+)*|[ivx]+|[a-z])\s*[:.)–—-]\s+`,
  'iu',
);
const BULLET = /^(?:[-*+•◦▪‣·–—]|\[[ x]?\])\s+/iu;
/** "2.", "2.1", "a)", "iv." before a title. */
const NUMBER = /^(?<number>\d+(?:\.\d+)+\.?|\d+[.)]|[a-z][.)]|[ivx]+[.)])\s+/iu;
const HEADING = /^(?<marks>#{1,6})\s+/;
const OBJECTIVE_NAMES = anyOf`
  objectives? | outcomes? | goals? | aims? | afterwards(?: the learner can)? | (?:the )?learners? can | you can
  lernziele? | ziele? | danach | objectifs? | objetivos?
`;
/** "Objective: ..." below a title, or "-> ..." */
const OBJECTIVE = new RegExp(String.raw`^(?:${OBJECTIVE_NAMES}\s*[:–—-]\s*|(?:→|->|=>)\s*)(?=\S)`, 'iu');
const MINUTES = /\s*[([]?\b(?<minutes>\d{1,3}(?:[.,]\d)?)\s*(?:min(?:ute[ns]?|utos)?\.?)\s*[)\]]?\s*$/iu;
const TAB = 4;

/** The outline that lines of text make; see `outlineLines` for what is read as a level. */
export const outlineFromText = (text: string, moduleTitle: string): OwnOutline =>
  nested(outlineLines(text), moduleTitle);

/**
 * Reads an outline out of plain lines: Markdown's headings and lists, indented text, numbered lines ("2.1"), lines that
 * say what they are ("Module 2: ..."), or any of them together. A line that says what can be done afterwards belongs to
 * the one before it, as does what stands behind a tab or "|"; minutes at the end of a line are its length. Lines that
 * are neither empty nor marks alone are all kept, up to `MOST_LINES`.
 */
export function outlineLines(text: string): OutlineLine[] {
  const found: (OutlineLine & { by: Depth })[] = [];
  for (const raw of text.split(/\r\n?|\n/)) {
    if (found.length === MOST_LINES) break;
    const line = read(raw);
    if (!line) continue;
    const objective = OBJECTIVE.exec(line.text);
    const before = found.at(-1);
    const text = objective ? line.text.slice(objective[0].length) : line.text;
    if (objective && before && !before.objective) before.objective = text;
    else found.push({ ...line, text });
  }
  const indents = [...new Set(found.map(({ by }) => by.indent))].sort((a, b) => a - b);
  const hasHeadings = found.some(({ by }) => by.heading > 0);
  const hasNames = found.some(({ by }) => by.named > 0);
  let heading = 0;
  return found.map(({ by, ...line }) => {
    if (by.heading > 0) heading = by.heading;
    const depth = Math.max(by.numbers, 1) + indents.indexOf(by.indent);
    // What is no heading stands below the one above it; what says that it is a module stands above what does not.
    const level = by.heading > 0 ? by.heading : by.named || (hasHeadings ? heading : hasNames ? 2 : 0) + depth;
    return { ...line, level };
  });
}

/** What tells how deep a line stands. */
interface Depth {
  heading: number;
  indent: number;
  numbers: number;
  named: number;
}

/** Of a line so many signs are looked at: patterns take longer the longer it is. */
const LOOKED_AT = 2000;

function read(whole: string): (OutlineLine & { by: Depth }) | undefined {
  const raw = whole.slice(0, LOOKED_AT);
  const indent = [...(/^\s*/.exec(raw)?.[0] ?? '')].reduce((sum, sign) => sum + (sign === '\t' ? TAB : 1), 0);
  let text = raw.trim();
  const heading = HEADING.exec(text);
  if (heading) text = text.slice(heading[0].length).replace(/\s+#+$/, '');
  text = text.replace(BULLET, '');
  const number = NUMBER.exec(text);
  if (number) text = text.slice(number[0].length);
  const named = NAMED.exec(text);
  if (named) text = text.slice(named[0].length);
  const [title, beside] = text.split(/\t+|\s+\|\s+/).map(plain);
  const minutes = MINUTES.exec(title);
  const bare = minutes ? title.slice(0, minutes.index) : title;
  if (!/[\p{L}\p{N}]/u.test(bare)) return undefined;
  return {
    level: 0,
    text: bare,
    ...(beside && { objective: beside }),
    ...(minutes && { minutes: Number(minutes.groups!.minutes.replace(',', '.')) }),
    by: {
      heading: heading?.groups!.marks.length ?? 0,
      indent,
      numbers: number ? number.groups!.number.split('.').filter(Boolean).length : 0,
      named: named ? (named.groups!.module ? 1 : 2) : 0,
    },
  };
}

/** Without marks of emphasis. */
const plain = (text: string): string => text.replace(/(\*\*|__|\*|_|`)(?=\S)(.+?)(?<=\S)\1/g, '$2').trim();
