import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import type { GivenMark, HandedFile, HandedIn } from '../../core/checks/markings';
import type { LastWord } from '../../core/checks/task/form';
import type { TaskSecret, TaskView } from '../../core/checks/task/marking';
import { fail } from '../../core/document/problem';
import { writeZip } from '../../core/document/zip';
import { handInsIn, wholeHandIn, type HandIn, type WholeHandIn } from '../../core/learning/handins';
import type { Db } from '../database/open';
import { releasesIn, type LearnerRow } from '../database/releases';
import { suggestedMark, taskOf } from './grading';
import type { HandedFiles } from './handed-files';
import type { LearnerDesk } from './learners';

const DAY = 86_400_000;
/** A hand-in whose time is up. */
const GONE: HandedIn = { text: '', files: [], gone: true };
/** Hand-ins that are saved together hold so many bytes at most. */
const TOGETHER = 256 * 1024 ** 2;

/** What of a stored hand-in, or of its mark, goes when its time is up. */
interface Stored {
  files?: HandedFile[];
  given?: GivenMark;
}

/** A hand-in with whose it is. */
export type LearnersHandIn = HandIn & { learner: { id: string; name: string } };

/** A hand-in as it is marked. */
export interface MarkedHandIn extends WholeHandIn {
  learner: { id: string; name: string };
  setting: string;
  criteria: TaskSecret['criteria'];
  lastWord: LastWord;
  model: string;
  suggestion?: GivenMark;
}

/** What comes first among hand-ins: what waits, then what is in doubt, then the rest. */
const urgency = ({ state, doubt }: HandIn): number => (state === 'waiting' ? 0 : doubt ? 1 : 2);

/** What learners handed in, for those who mark it. */
export function handInDesk(db: Db, learners: LearnerDesk, handed: HandedFiles, now: () => number) {
  const releases = releasesIn(db);

  /** Every hand-in of a course, what is to be marked first, the oldest first. */
  const list = (course: string): LearnersHandIn[] =>
    learners
      .standings(course)
      .flatMap(({ learner, taking, state, events }) =>
        handInsIn(taking, state, events).map((each) => ({ ...each, learner: { id: learner.id, name: learner.name } })),
      )
      .sort((a, b) => urgency(a) - urgency(b) || a.at - b.at);

  /**
   * A hand-in with its criteria, and what is suggested where its task is marked so. Throws `no-such-learner`,
   * `nothing-to-mark`.
   */
  function get(course: string, id: string, check: string): MarkedHandIn {
    const { learner, taking, state, events } = learners.standing(course, id);
    const whole = wholeHandIn(check, taking, state, events);
    const task = taskOf(taking, check);
    if (!whole || !task) return fail('nothing-to-mark', undefined, check);
    const { criteria, lastWord, model } = task.secret;
    const suggests = lastWord === 'confirmed' || lastWord === 'suggested';
    const suggested = suggests && !whole.gone ? suggestedMark(taking, check, whole) : undefined;
    return {
      ...whole,
      learner: { id, name: learner.name },
      setting: task.view.setting,
      criteria,
      lastWord,
      model,
      ...(suggested && { suggestion: suggested.given }),
    };
  }

  /** Every hand-in of a course with all of it, as in the list. */
  const wholeOnes = (course: string) =>
    learners.standings(course).flatMap(({ learner, taking, state, events }) =>
      handInsIn(taking, state, events).flatMap((each) => {
        const whole = wholeHandIn(each.check, taking, state, events);
        return whole ? [{ ...whole, learner: { id: learner.id, name: learner.name } }] : [];
      }),
    );

  /** The hand-ins to a task (or to all of a course) with their files, and a table of their marks, as a zip. */
  function together(course: string, check?: string): Uint8Array {
    const files = new Map<string, Uint8Array>();
    const rows = [['learner', 'task', 'handed in', 'standing', 'score in percent', 'folder']];
    let bytes = 0;
    for (const line of wholeOnes(course).filter((each) => !check || each.check === check)) {
      const { text, files: named, judged } = line;
      const folder = `${nameFor(line.learner.name || 'name taken out')}-${line.learner.id.slice(-4)}/${nameFor(line.stem)}-${line.check.slice(-4)}`;
      if (text) files.set(`${folder}/text.txt`, new TextEncoder().encode(text));
      for (const [at, { hash, name }] of named.entries()) {
        const file = handed.find(line.learner.id, hash);
        // One that was lost on the disk leaves the others to be saved.
        if (!file) continue;
        bytes += file.bytes;
        if (bytes > TOGETHER) fail('too-much-together', { limit: TOGETHER / 1024 ** 2 });
        files.set(`${folder}/${at + 1}-${fileNameFor(name)}`, new Uint8Array(readFileSync(file.path)));
      }
      if (judged.length > 0)
        files.set(
          `${folder}/marks.csv`,
          csv([
            ['criterion', 'level', 'points', 'of', 'said'],
            ...judged.map((each) => [each.text, each.level ?? '', each.points, each.of, each.note ?? '']),
          ]),
        );
      rows.push([
        line.learner.name,
        line.stem,
        new Date(line.at).toISOString(),
        line.state === 'waiting' ? 'waits for a mark' : line.suggested ? 'marks suggested' : 'marked',
        line.state === 'waiting' ? '' : String(Math.round(line.score * 100)),
        folder,
      ]);
    }
    files.set('hand-ins.csv', csv(rows));
    return writeZip(files);
  }

  return {
    list,
    get,
    together,
    /** The task of the release a learner is on. Throws `no-such-task`. */
    task: (learner: LearnerRow, check: string): TaskView =>
      taskOf(learners.standing(learner.course_id, learner.id).taking, check)?.view ??
      fail('no-such-task', undefined, check),
    /** Hand-ins that were kept as long as their tasks say since they were marked lose words and files; marks stay. */
    forgetOld(): void {
      for (const { learner, taking, state, events } of learners.everybody()) {
        for (const { check, state: worth, gone } of handInsIn(taking, state, events)) {
          const days = taskOf(taking, check)?.view.keepDays;
          const marked = events.findLast((event) => event.kind === 'mark' && event.check === check);
          if (days === undefined || worth !== 'marked' || gone || !marked || now() - marked.at < days * DAY) continue;
          db.transaction(() => {
            for (const { id, kind, answer } of releases.answersTo(learner.id, check)) {
              const stored = JSON.parse(answer ?? '{}') as Stored;
              if (kind === 'answer') handed.forget(learner.id, stored.files ?? []);
              // A mark quotes what was handed in.
              if (kind === 'mark' && stored.given) delete stored.given.words;
              releases.emptyAnswer(learner.id, id, JSON.stringify(kind === 'answer' ? GONE : stored));
            }
          })();
          learners.forgetState(learner.id);
        }
      }
      handed.clear();
    },
  };
}

/** A name that every system takes for a folder, whatever a learner is called: letters, figures and single strokes. */
const nameFor = (text: string): string =>
  text
    .normalize('NFC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'hand-in';

/** The same for a file, its ending kept. */
function fileNameFor(name: string): string {
  const [, base = '', ending = ''] = /^(.*?)(?:\.([a-z0-9]{1,5}))?$/iu.exec(name) ?? [];
  return `${nameFor(base)}${ending && `.${ending.toLowerCase()}`}`;
}

/** A table for other programs; what a sheet would take for a formula is words. */
const csv = (rows: (string | number)[][]): Uint8Array =>
  new TextEncoder().encode(Papa.unparse(rows, { escapeFormulae: true }));

export type HandInDesk = ReturnType<typeof handInDesk>;
