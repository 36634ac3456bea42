import { existsSync, readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { briefFrom } from '../core/brief/given';
import { canonicalJson } from '../core/document/canonical';
import { fail, ProblemError } from '../core/document/problem';
import { draftContext, draftCourse, outlineFor, type DraftContext, type OutlineBy } from '../core/draft';
import { outlineNodes } from '../core/draft/operations';
import { reportOn } from '../core/draft/report';
import { writeArchive } from '../core/exchange/archive';
import { courseDocument } from '../core/exchange/document';
import { writeReadingPage } from '../core/exchange/html';
import type { Knowledge } from '../core/knowledge';
import type { OutlineProposal } from '../core/outline';
import { sideBySide } from '../core/course/beside';
import type { OwnOutline } from '../core/own/own';
import { proposeOwn } from '../core/outline/own';
import { cleanTitle } from '../core/outline/titles';
import { readOutlineInChild } from '../server/reading';
import { packFor } from '../server/language/packs';
import { HELP, readArguments, UseError, type Arguments } from './arguments';
import { pageStyles } from '../server/player';
import { say, sayNotice } from '../server/words/problems';
import { writeFiles } from './output';
import { makePackages } from './packages';
import { readSources, type ReadSources } from './sources';
import { Timer } from './timer';

/** Exit codes, as the README promises them. */
export const EXIT = { made: 0, ourFault: 1, wrongUse: 2, notRead: 3, tooLittle: 4, stopped: 130 } as const;

/** Problems that are nobody's fault, by code. */
const EXITS: Record<string, number> = {
  'nothing-to-draft': EXIT.tooLittle,
  'nothing-to-release': EXIT.tooLittle,
  'no-such-file': EXIT.notRead,
  'not-an-archive': EXIT.notRead,
  'newer-archive': EXIT.notRead,
  'bad-document': EXIT.notRead,
  'zip-broken': EXIT.notRead,
  'zip-too-big': EXIT.notRead,
};

/** Where a run writes: results to `out`, everything said to the person to `tell`. */
export interface Console {
  print(text: string): void;
  tell(line: string): void;
}

/** Runs a command line and gives its exit code. Never throws. */
export async function run(argv: readonly string[], console: Console, signal: AbortSignal): Promise<number> {
  try {
    const given = readArguments(argv);
    if (given === 'help') {
      console.print(HELP);
      return EXIT.made;
    }
    if (given.command === 'packages') {
      makePackages(given, console.tell);
      return EXIT.made;
    }
    return await execute(given, console, signal);
  } catch (error) {
    if (signal.aborted) {
      console.tell('stopped; nothing was written.');
      return EXIT.stopped;
    }
    if (error instanceof UseError) {
      console.tell(`${error.message} See "uplift help".`);
      return EXIT.wrongUse;
    }
    if (error instanceof ProblemError) {
      console.tell(say(error.problem));
      return EXITS[error.problem.code] ?? EXIT.ourFault;
    }
    console.tell(`A fault of ours: ${(error as Error).stack ?? String(error)}`);
    return EXIT.ourFault;
  }
}

async function execute(given: Arguments, console: Console, signal: AbortSignal): Promise<number> {
  const timer = new Timer();
  const read = await readSources(given.sources, console.tell, timer, signal);
  signal.throwIfAborted();
  if (read.failed > 0 && (!given.keepGoing || read.knowledge.length === 0)) {
    console.tell(
      given.keepGoing
        ? 'No source could be read.'
        : 'Nothing was made. Use --keep-going to go on without the sources that cannot be read.',
    );
    return EXIT.notRead;
  }
  if (given.command === 'read')
    return give(
      given,
      console,
      'read.json',
      canonicalJson(
        read.knowledge.map(({ source, claims }) => ({ source, claims })),
        1,
      ),
    );
  const title = given.brief.title ?? cleanTitle(read.knowledge[0].source.title, [], '');
  const by: OutlineBy = {
    ...(given.outline !== undefined && { own: await ownOutline(given.outline, title) }),
    ...(given.plan && { planned: { plan: given.plan, topic: title } }),
  };
  if (given.command === 'outline')
    return give(given, console, 'outline.json', await outlineJson(given, read.knowledge, title, by));
  return draft(given, read, title, by, console, timer, signal);
}

async function draft(
  given: Arguments,
  read: ReadSources,
  title: string,
  by: OutlineBy,
  console: Console,
  timer: Timer,
  signal: AbortSignal,
): Promise<number> {
  const brief = briefFrom(given.brief, courseLanguage(read.knowledge));
  await new Promise((resolve) => setImmediate(resolve));
  const made = await timer.measure('draft', () =>
    Promise.resolve(
      draftCourse(
        brief,
        read.knowledge,
        title,
        (done, of, lesson) => console.tell(`lesson ${done} of ${of}: ${lesson}`),
        by,
      ),
    ),
  );
  const report = reportOn(made);
  const files = await timer.measure('write', () => {
    const document = courseDocument(
      made.course,
      read.knowledge.map((each) => each.source),
      read.knowledge.flatMap((each) => each.claims),
      packFor(brief.language),
    );
    const all = new Map<string, string | Uint8Array>([
      ['course.json', `${canonicalJson(document, 1)}\n`],
      ['report.json', `${canonicalJson(report, 1)}\n`],
    ]);
    if (given.formats.includes('html'))
      all.set('course.html', writeReadingPage(document, report.leftOut, pageStyles(), read.media));
    if (given.formats.includes('archive')) all.set('course.uplift.zip', writeArchive(document, read.media));
    return Promise.resolve(all);
  });
  // A stop asked for while drafting is heard here, before anything is written.
  await new Promise((resolve) => setImmediate(resolve));
  signal.throwIfAborted();
  files.set('timings.json', `${JSON.stringify(timer.report(), undefined, 1)}\n`);
  writeFiles(given.out!, files);
  for (const notice of report.notices)
    console.tell(`note: ${sayNotice(notice, notice.parameters?.title as string | undefined)}`);
  const { size, questions } = report;
  console.tell(
    `made ${given.out}: ${size.minutes} min, ${size.modules} modules, ${size.lessons} lessons, ${questions.placed} questions placed, ${questions.offered} offered.`,
  );
  return EXIT.made;
}

async function ownOutline(path: string, title: string): Promise<OwnOutline> {
  if (!existsSync(path)) fail('no-such-file', undefined, path);
  return readOutlineInChild(basename(path), readFileSync(path), title);
}

/** The outline as JSON, or, with `--compare`, two of them row by row. */
async function outlineJson(
  given: Arguments,
  knowledge: readonly Knowledge[],
  title: string,
  by: OutlineBy,
): Promise<string> {
  const brief = briefFrom(given.brief, courseLanguage(knowledge));
  const context = draftContext(brief, knowledge);
  const outline = outlineFor(brief, context, title, by);
  if (given.compare !== undefined) {
    const mine = proposeOwn(await ownOutline(given.compare, title), brief, context.sources, context.terms, title);
    return canonicalJson(comparedOutlines(mine, outline, context), 1);
  }
  const modules = outline.modules.map((module) => ({
    id: module.id,
    title: module.title,
    lessons: module.lessons.map(({ id, title: lesson, otherTitles, scope }) => ({
      id,
      title: lesson,
      otherTitles,
      words: scope.words,
      sections: scope.sections.map((section) => ({
        title: section.title,
        source: scope.sourceId,
        passages: section.passages,
      })),
    })),
  }));
  return canonicalJson({ ...outline, modules }, 1);
}

function comparedOutlines(mine: OutlineProposal, drafted: OutlineProposal, context: DraftContext) {
  const [left, right] = [mine, drafted].map((each) => outlineNodes(each, { without: new Map() }, context, []));
  const rows = new Map(
    [left, right].flatMap(({ modules, objectives }) => {
      const texts = new Map(objectives.map(({ id, text }) => [id, text]));
      return modules.flatMap((module) => [
        [module.id, { title: module.title, objective: module.purpose }] as const,
        ...module.lessons.map(
          (lesson) => [lesson.id, { title: lesson.title, objective: texts.get(lesson.objectiveIds[0]) ?? '' }] as const,
        ),
      ]);
    }),
  );
  return sideBySide(left, right).map(({ kind, fit, elsewhere, mine: own, other }) => ({
    kind,
    fit,
    ...(elsewhere && { elsewhere }),
    ...(own !== undefined && { mine: rows.get(own) }),
    ...(other !== undefined && { drafted: rows.get(other) }),
  }));
}

function give(given: Arguments, console: Console, name: string, json: string): number {
  if (given.out) writeFiles(given.out, new Map([[name, `${json}\n`]]));
  else console.print(`${json}\n`);
  return EXIT.made;
}

/** The language most of the words are in. */
function courseLanguage(knowledge: readonly Knowledge[]): string {
  const words = new Map<string, number>();
  for (const { source } of knowledge) words.set(source.language, (words.get(source.language) ?? 0) + source.words);
  const [[language]] = [...words].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return language === 'und' ? 'en' : language;
}
