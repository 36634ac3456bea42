import type { Course, Lesson } from '../../course/course';
import { escape } from '../../document/html';
import { STYLE } from './style';

/** What a sheet of paper needs beside the styles of the other pages. */
const SHEET = `
main{padding-block:1rem 2rem}
table.brief{width:100%;border-collapse:collapse}
.brief th,.brief td{text-align:start;vertical-align:top;padding:.35rem .6rem .35rem 0;border-top:1px solid var(--hair)}
.brief th{width:11rem;font-weight:600;color:var(--ink-2)}
.brief ul{margin:0;padding-inline-start:1.1rem}.brief p{margin:0;white-space:pre-line}
.agreed{display:flex;gap:2rem;margin-top:2.5rem}.agreed p{flex:1;border-top:1px solid var(--ink);padding-top:.2rem;color:var(--ink-2);font-size:.9rem}
@media print{body{background:#fff;color:#000}header,main{max-width:none;margin-inline:0}h1{margin-top:0}h2{break-after:avoid}tr{break-inside:avoid}}
@page{margin:18mm}
`;

/**
 * The brief as one page to print, to send, and to agree on: what the course promises, to whom, how long, and its
 * modules with what they are for. `sources`: their titles. What nobody said is left out.
 */
export function writeBriefPage(course: Course, sources: readonly string[]): string {
  const { title, brief, about, modules, language, direction } = course;
  const { audience, size } = brief;
  const lines: [string, string | readonly string[] | undefined][] = [
    ['What it promises', brief.promise],
    ['For whom', audience.who],
    ['Not for', audience.notFor],
    ['What goes wrong today', audience.wrong],
    ['How far they are', audience.level],
    ['Where they work', audience.setting],
    ['What they want', audience.wants],
    ['What they know already', audience.knows.join(', ')],
    ['What would count as success', brief.outcomes],
    ['How long', lengthOf(size)],
    ['Checks', checksOf(size)],
    [
      'Text',
      brief.sourcesOnly ? 'Only what stands in the sources' : 'Short connecting text may be added, marked as ours',
    ],
    ['Sources', sources],
    ['Announced as', about?.description],
    ['Filed under', [about?.code, about?.category, ...(about?.tags ?? [])].filter(Boolean).join(', ')],
  ];
  return `<!doctype html>
<html lang="${escape(language)}" dir="${direction}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escape(title)}: brief</title><style>${STYLE}${SHEET}</style></head>
<body>
<header><h1>${escape(title)}</h1><p class="facts">Brief of a course</p></header>
<main>
<table class="brief"><tbody>
${lines.flatMap(([name, said]) => rowOf(name, said)).join('\n')}
</tbody></table>
${modules.length > 0 ? `<h2>Modules</h2>\n<table class="brief"><tbody>${modules.map(moduleRow).join('\n')}</tbody></table>` : ''}
<div class="agreed"><p>Agreed by</p><p>On</p></div>
</main>
</body>
</html>
`;
}

const list = (items: readonly string[]) => `<ul>${items.map((item) => `<li>${escape(item)}</li>`).join('')}</ul>`;

function rowOf(name: string, said: string | readonly string[] | undefined): string[] {
  if (said === undefined || said.length === 0) return [];
  const cell = typeof said === 'string' ? `<p>${escape(said)}</p>` : list(said);
  return [`<tr><th scope="row">${escape(name)}</th><td>${cell}</td></tr>`];
}

function moduleRow({ title, purpose, brief = {}, lessons }: Course['modules'][number]): string {
  const { result, wrong, asked = [], actions = [] } = brief;
  const lines = [purpose, result && `Afterwards: ${result}`, wrong && `Today: ${wrong}`];
  const points = [...asked, ...actions];
  const cell = [
    ...lines.flatMap((line) => (line ? [`<p>${escape(line)}</p>`] : [])),
    ...(points.length > 0 ? [list(points)] : []),
    lessons.some(({ points }) => points)
      ? `<ul>${lessons.map(lessonLine).join('')}</ul>`
      : `<p class="facts">${escape(lessons.map((lesson) => lesson.title).join(' · '))}</p>`,
  ];
  return `<tr><th scope="row">${escape(title)}</th><td>${cell.join('')}</td></tr>`;
}

/** A lesson with its points, where they are settled. */
const lessonLine = ({ title, points }: Lesson): string =>
  `<li>${escape(title)}${points ? list(points.map(({ text }) => text)) : ''}</li>`;

function lengthOf({ minutes, modules, lessonsPerModule, wordsPerLesson }: Course['brief']['size']): string {
  return [
    minutes === undefined ? 'As long as the sources teach' : `${minutes} minutes`,
    modules === undefined ? '' : `${modules} modules`,
    lessonsPerModule === undefined ? '' : `${lessonsPerModule} lessons in a module at most`,
    wordsPerLesson === undefined ? '' : `about ${wordsPerLesson} words in a lesson`,
  ]
    .filter(Boolean)
    .join(', ');
}

const checksOf = ({ questionsPerLesson, checkEvery }: Course['brief']['size']): string =>
  `${questionsPerLesson} in a lesson at most${checkEvery === undefined ? '' : `, one for every ${checkEvery} minutes`}`;
