// Drafts the demo course anew from the demo's sources and makes the edits a person would: the archive that ships.
import { mkdirSync, writeFileSync } from 'node:fs';
import { allLessons, type Course } from '../core/course/course';
import { applyAll, type Operation } from '../core/course/operations';
import { briefFrom } from '../core/brief/given';
import { draftCourse } from '../core/draft';
import { writeArchive } from '../core/exchange/archive';
import { courseDocument } from '../core/exchange/document';
import { understand } from '../core/knowledge';
import { packFor } from '../server/language/packs';
import { readInChild, sourceIds } from '../server/reading';
import { handEdits } from './edits';
import { demoMedia } from './media';

const FILES = [
  'lending-policy.docx',
  'battery-guide.pdf',
  'front-desk-shift.pptx',
  'twelve-years-at-the-desk.vtt',
  'questions.html',
  'coordinators-notes.md',
].map((name) => `demo/files/${name}`);
const TITLE = 'Lending tools safely';

const ids = sourceIds(FILES);
const knowledge = [];
for (const [at, file] of FILES.entries()) {
  const result = await readInChild(file, ids[at]);
  if (!result.ok) throw new Error(`${file}: ${result.problem.code}`);
  knowledge.push(understand(result.source, packFor(result.source.language)));
}
const brief = {
  ...briefFrom(
    {
      audience: 'Front-desk volunteers',
      known: ['library card'],
      minutes: 58,
      questions: 2,
      sourcesOnly: false,
      language: 'en',
    },
    'en',
  ),
  promise: 'You hand out power tools so that they come back whole and nobody is hurt.',
  outcomes: ['Fewer tools come back damaged without a tag', 'No battery is charged against the guide'],
};
const drafted = draftCourse(brief, knowledge, TITLE);
const media = await demoMedia();
const operations: Operation[] = handEdits(drafted.course, media);
const edited = applyAll(drafted.course, operations);
if (!edited.ok)
  throw new Error(`The hand edits do not fit the draft any more: ${edited.problem.code} at ${edited.problem.place}`);
const course: Course = edited.course;
const document = courseDocument(
  course,
  knowledge.map((each) => each.source),
  knowledge.flatMap((each) => each.claims),
  packFor('en'),
);
mkdirSync('demo/course', { recursive: true });
writeFileSync('demo/course/lending-tools-safely.uplift.zip', writeArchive(document, media.bytes));
console.log(
  `${course.modules.length} modules, ${allLessons(course).length} lessons, ${course.checks.length} checks, ${operations.length} edits by hand`,
);
