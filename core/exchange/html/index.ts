import { checkHtml } from '../../checks/pages';
import { allLessons, placedChecks, type Course, type Lesson } from '../../course/course';
import { creditsOf } from '../../course/media';
import { offersOf } from '../../course/offers';
import { drawProfile } from '../../picture/profile';
import type { LeftOutLine } from '../../review/left-out';
import { kindWords, reasonWords } from '../../course/left-out-words';
import type { Passage, Source } from '../../source/source';
import type { CourseDocument } from '../document';
import type { PageView } from '../../blocks/page';
import { blocksHtml } from '../../blocks/pages';
import { asksOf } from '../../course/quizzes';
import { say, wordsFor } from '../../words';
import { escape } from '../../document/html';
import { richHtml, type Cite } from './rich';
import { STYLE } from './style';

/**
 * One page to read a draft by: profile, outline, lessons, questions, and for each sentence its source a click away (a
 * pane opened by the address alone, so the page needs no script). For authors; it shows keys and offers. `styles` are
 * those of the player's pages, which blocks look by; `media` the bytes of what they show.
 */
export function writeReadingPage(
  document: CourseDocument,
  leftOut: readonly LeftOutLine[],
  styles: string,
  media: ReadonlyMap<string, Uint8Array> = new Map(),
): string {
  const { course, sources, computed } = document;
  const cited = new Set<string>();
  const view = viewOf(course, cited, media);
  const lessons = course.modules
    .map(
      (module) =>
        `<section><h2>${escape(module.title)}</h2>${module.lessons.map((lesson) => lessonHtml(lesson, course, view, computed.lessons[lesson.id]?.minutes ?? 0)).join('')}</section>`,
    )
    .join('\n');
  const placed = new Set(placedChecks(course).map((check) => check.id));
  const offers = offersOf(course);
  const offered =
    offers.length > 0
      ? `<section><h2>Offered questions</h2><p class="facts">Drafted, not placed: ${offers.length}.</p>${offers.map((check) => checkHtml(check, view)).join('')}</section>`
      : '';
  const passages = panes(sources, cited);
  return `<!doctype html>
<html lang="${escape(course.language === 'und' ? 'en' : course.language)}" dir="${course.direction}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escape(course.title)}</title><style>${STYLE}${styles}</style></head>
<body>
<header><h1>${escape(course.title)}</h1>
<p class="facts">${computed.minutes} min, ${allLessons(course).length} lessons, ${placed.size} checks, from ${sources.length} ${sources.length === 1 ? 'source' : 'sources'}: ${sources.map((source) => escape(source.title)).join('; ')}</p>
${profileHtml(course, document)}
<p class="hint">Click a sentence, and the passage it stands on opens here. A dotted line under it: its words were changed.</p></header>
<main>
${outlineHtml(course, document)}
${lessons}
${offered}
${leftOut.length > 0 ? `<section class="left-out"><h2>Left out</h2><ul>${leftOut.map((entry) => `<li>${escape(entry.topic)}: ${escape(entry.text)} <small>(${escape(kindWords(entry.kinds))}; ${escape(reasonWords(entry.reason))})</small></li>`).join('')}</ul></section>` : ''}
</main>
<div id="sources">
${passages}
</div>
</body>
</html>
`;
}

function viewOf(course: Course, cited: Set<string>, media: ReadonlyMap<string, Uint8Array>): PageView {
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  const credits = creditsOf(course);
  const cite: Cite = (html, { attrs }) => {
    for (const range of attrs.passages) cited.add(range.id);
    const changed = attrs.passages.some((range) => range.edits?.length);
    // A link in a link is not HTML: a sentence with a link of its own gets a mark behind it.
    const href = `#s-${attrs.passages[0].id}`;
    return html.includes('<a ')
      ? `${html}<a class="from" href="${href}" aria-label="source">°</a>`
      : `<a class="from${changed ? ' changed' : ''}" href="${href}">${html}</a>`;
  };
  const view: PageView = {
    rich: (text) => richHtml(text, cite),
    cited: (html, evidence) => {
      for (const range of evidence) cited.add(range.id);
      return evidence.length > 0 ? `${html}<p class="up-label"><a href="#s-${evidence[0].id}">source</a></p>` : html;
    },
    check: (id) => (checks.has(id) ? checkHtml(checks.get(id)!, view) : ''),
    // The page is one file: what it shows is in it.
    media: ({ hash, type }) => `data:${type};base64,${base64(media.get(hash))}`,
    credit: ({ hash }) => credits[hash],
    words: wordsFor(course.language).words,
  };
  return view;
}

function lessonHtml(lesson: Lesson, course: Course, view: PageView, minutes: number): string {
  const aims = course.objectives.filter((objective) => lesson.objectiveIds.includes(objective.id));
  const { quiz: said } = view.words;
  const pass = lesson.quiz?.pass;
  const facts = [
    `${minutes} min`,
    ...(lesson.quiz ? [`${said.title}: ${say(said.questions, { of: asksOf(lesson) })}`] : []),
    ...(pass === undefined ? [] : [say(said.pass, { share: Math.round(pass * 100) })]),
  ];
  return `<article id="l-${lesson.id}" class="up-page"><h3>${escape(lesson.title)}</h3><p class="facts">${facts.join(', ')}</p>${
    aims.length > 0
      ? `<p class="aims">Afterwards the learner can</p><ul>${aims.map((aim) => `<li>${escape(aim.text)}</li>`).join('')}</ul>`
      : ''
  }${blocksHtml(lesson.blocks, view)}</article>`;
}

function outlineHtml(course: Course, { computed }: CourseDocument): string {
  const rows = course.modules.map((module) => {
    const minutes =
      Math.round(module.lessons.reduce((sum, lesson) => sum + (computed.lessons[lesson.id]?.minutes ?? 0), 0) * 10) /
      10;
    const lessons = module.lessons.map((lesson) => {
      const aim = course.objectives.find((objective) => lesson.objectiveIds[0] === objective.id)?.text ?? '';
      const checks = asksOf(lesson);
      return `<tr><td><a href="#l-${lesson.id}">${escape(lesson.title)}</a></td><td>${escape(aim)}</td><td class="number">${computed.lessons[lesson.id]?.minutes ?? 0}</td><td class="number">${checks || ''}</td></tr>`;
    });
    return `<tr class="module"><th scope="rowgroup" colspan="2">${escape(module.title)}</th><td class="number">${minutes}</td><td></td></tr>${lessons.join('')}`;
  });
  return `<table class="outline"><thead><tr><th scope="col">Lesson</th><th scope="col">Afterwards the learner can</th><th scope="col" class="number">Min</th><th scope="col" class="number">Checks</th></tr></thead><tbody>${rows.join('')}</tbody></table>`;
}

function profileHtml(course: Course, { computed }: CourseDocument): string {
  const drawing = drawProfile(
    course.modules.map((module) => ({
      title: module.title,
      lessons: module.lessons.map((lesson) => ({
        id: lesson.id,
        title: lesson.title,
        ...computed.lessons[lesson.id],
        checks: asksOf(lesson),
      })),
    })),
    740,
    120,
  );
  const ground = drawing.height - 18;
  const names = drawing.modules
    .filter((module) => module.width > 40)
    .map((module) => {
      const fits = Math.floor((module.width - 8) / 6.2);
      return `<text x="${module.x + 3}" y="${drawing.height - 4}">${escape(module.title.length > fits ? `${module.title.slice(0, Math.max(1, fits - 1)).trimEnd()}…` : module.title)}</text>`;
    });
  return `<svg class="profile" viewBox="0 0 ${drawing.width} ${drawing.height}" role="img" aria-label="Path profile: minutes across, demand upward">
${drawing.segments.map((segment) => `<path class="fill" d="${segment.path}"><title>${escape(segment.title)}</title></path>`).join('')}
${drawing.modules
  .slice(1)
  .map((module) => `<path class="line" d="M${module.x},8 L${module.x},${ground}" stroke-opacity=".25"/>`)
  .join('')}
<path class="line" d="${drawing.line}"/>
${drawing.posts.map((post) => `<rect class="post" x="${Math.round((post.x - 2.5) * 10) / 10}" y="${Math.round((post.y - 12) * 10) / 10}" width="5" height="5"/><path class="line" d="M${post.x},${Math.round((post.y - 7) * 10) / 10} L${post.x},${post.y}"/>`).join('')}
${names.join('')}</svg>`;
}

/** A pane for each cited passage: its words between its neighbours', and where it stands. */
function panes(sources: readonly Source[], cited: ReadonlySet<string>): string {
  return sources
    .flatMap((source) =>
      source.passages.map((passage, index) => {
        if (!cited.has(passage.id)) return '';
        const near = (at: number) =>
          source.passages[at] ? `<p class="near">${escape(shortened(source.passages[at].text))}</p>` : '';
        return `<aside class="passage" id="s-${passage.id}"><a class="close" href="#sources">close</a><p><strong>${escape(source.title)}</strong></p><p class="where">${escape(placeOf(passage))}</p>${near(index - 1)}<blockquote>${escape(passage.text)}</blockquote>${near(index + 1)}</aside>`;
      }),
    )
    .filter(Boolean)
    .join('\n');
}

function placeOf({ locator }: Passage): string {
  const { page, slide, seconds, clause, path } = locator;
  const parts = [
    clause ?? '',
    page !== undefined ? `p. ${page}` : '',
    slide !== undefined ? `slide ${slide}` : '',
    seconds !== undefined ? `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}` : '',
  ].filter(Boolean);
  return [...parts, ...path].join(' / ');
}

function shortened(text: string): string {
  return text.length > 220 ? `${text.slice(0, 219).trimEnd()}…` : text;
}

/** Bytes as base64 (RFC 4648), some at a time, since there may be more than a call takes. */
function base64(bytes: Uint8Array = new Uint8Array()): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000) text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return btoa(text);
}
