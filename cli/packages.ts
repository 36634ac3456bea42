import { readFileSync } from 'node:fs';
import { checkFormOf } from '../core/checks/forms';
import { needsPerson } from '../core/checks/markings';
import { contentHash } from '../core/document/id';
import { readArchive } from '../core/exchange/archive';
import { packageName, writePackage } from '../core/exchange/package';
import { surveysIn, withoutSurveys } from '../core/learning/surveys';
import { writeZip } from '../core/document/zip';
import type { Course } from '../core/course/course';
import { mediaName, mediaRefs } from '../core/document/media';
import { fail } from '../core/document/problem';
import { freezeCourse, isEmptyForLearners, lessonsOf } from '../core/learning/view';
import { QUESTION_FORMATS, type QuestionFormat } from '../core/questions/names';
import { writeQti } from '../core/questions/write';
import { playerFiles } from '../server/player';
import type { Arguments } from './arguments';
import { writeFiles } from './output';

/**
 * Makes packages of the course in an archive, frozen as it stands there. The same archive and options give the same
 * bytes, so the release is named after the archive's content. Throws what reading an archive throws, `no-such-file`,
 * `nothing-to-release`.
 */
export function makePackages(given: Arguments, tell: (line: string) => void): void {
  const [path] = given.sources;
  const bytes = bytesOf(path);
  const { document, media } = readArchive(bytes);
  const { course, computed } = document;
  if (isEmptyForLearners(course)) fail('nothing-to-release');
  const id = `r${contentHash(bytes).slice(0, 12)}`;
  const frozen = freezeCourse(
    course,
    id,
    Object.fromEntries(Object.entries(computed.lessons).map(([lesson, { grade }]) => [lesson, grade])),
  );
  const files = new Map(
    given.formats.map((format) => [
      packageName(course.title, format),
      format === 'archive'
        ? bytes
        : isQuestions(format)
          ? writeZip(questionFiles(course, format, media))
          : writePackage({ id, number: 1, rules: given.rules, frozen }, format, playerFiles(), media),
    ]),
  );
  writeFiles(given.out!, files);
  tell(
    `made ${[...files.keys()].join(', ')} in ${given.out}: ${lessonsOf(withoutSurveys(frozen.view)).length} lessons, ${frozen.view.checks.length} checks.`,
  );
  const alone = frozen.view.checks.filter((check) => checkFormOf(check).standsAlone).length;
  if (given.formats.some(isQuestions) && alone > 0)
    tell(`note: QTI has no scenarios and practice tasks: ${alone} left out.`);
  if (given.formats.some(isQuestions))
    tell(
      'note: QTI knows no slips of the keyboard and no neighbours in an order: there these count exactly, and whole.',
    );
  if (!given.formats.some((format) => format !== 'archive' && !isQuestions(format))) return;
  tell('note: packages mark answers by themselves, so they carry the right answers.');
  const open = frozen.view.checks.filter((check) => needsPerson(check, frozen.keys[check.id])).length;
  const filed = frozen.view.checks.filter((check) => check.kind === 'task' && check.handIn.files).length;
  const forms = surveysIn(frozen.view).length;
  if (forms > 0) tell(`note: nobody would get what is answered in a package: ${forms} feedback forms left out.`);
  if (filed > 0) tell(`note: packages take no files: in ${filed} tasks learners say in words what they did.`);
  if (open > 0)
    tell(`note: nobody marks in a package: ${open} open answers and tasks are compared by the learners themselves.`);
}

const isQuestions = (format: Arguments['formats'][number]): format is QuestionFormat => format in QUESTION_FORMATS;

/** A course's questions with the pictures they show. */
function questionFiles(
  course: Course,
  format: QuestionFormat,
  media: ReadonlyMap<string, Uint8Array>,
): Map<string, Uint8Array> {
  const items = writeQti(course, QUESTION_FORMATS[format]);
  const pictures = mediaRefs(course.checks.filter(({ id }) => items.has(`items/${id}.xml`))).flatMap(
    (ref): [string, Uint8Array][] => {
      const bytes = media.get(ref.hash);
      return bytes ? [[`media/${mediaName(ref)}`, bytes]] : [];
    },
  );
  return new Map([...items, ...pictures]);
}

function bytesOf(path: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(path));
  } catch {
    return fail('no-such-file', undefined, path);
  }
}
