import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { suggestMarks, type GradingLanguage, type Held, type SuggestedLevel } from '../core/grading/suggest';

/** A task of `eval/marking` with its answers, each with the levels it was given by hand. */
export interface MarkedTask {
  name: string;
  held: Held;
  answers: { hand: string; text: string }[];
}

/** The levels by their letters, the best one first. */
export const LEVEL_LETTERS = 'fpm';

const FOLDER = 'eval/marking';

/** The tasks of one half, `open` or `sealed`. */
export function markedTasks(half: string): MarkedTask[] {
  return readdirSync(join(FOLDER, half))
    .sort()
    .map((file) => readTask(file.replace('.md', ''), readFileSync(join(FOLDER, half, file), 'utf8')));
}

function readTask(name: string, text: string): MarkedTask {
  const [head, ...answers] = text.split(/^## ?/m);
  const line = (of: string) => new RegExp(`^${of}: (.*)$`, 'm').exec(head)?.[1] ?? '';
  const criteria = [...head.matchAll(/^- (.*?) \| (.*?) \| (.*)$/gm)].map(([, criterion, full, partly], at) => ({
    id: `c${at}`,
    text: criterion,
    levels: [full, partly, 'It is missing.'].map((level, place) => ({
      id: LEVEL_LETTERS[place],
      text: level,
      points: 2 - place,
    })),
  }));
  return {
    name,
    held: { criteria, model: line('model'), prompt: `${/^# (.*)$/m.exec(head)?.[1] ?? ''}\n${line('setting')}` },
    answers: answers.map((each) => {
      const [hand, ...lines] = each.split('\n');
      return { hand: hand.trim(), text: lines.join('\n').trim() };
    }),
  };
}

/** How near suggested marks come to those given by hand, counted by criteria. */
export interface Nearness {
  all: number;
  same: number;
  /** Two levels apart. */
  far: number;
  /** What always saying one level would reach. */
  always: Record<string, number>;
  sure: number;
  sureSame: number;
  /** Answers that are worth nothing and were given something. */
  given: string[];
}

/** Holds suggested marks against those given by hand. */
export function nearness(tasks: readonly MarkedTask[], language: GradingLanguage): Nearness {
  const sum: Nearness = { all: 0, same: 0, far: 0, always: {}, sure: 0, sureSame: 0, given: [] };
  for (const { held, answers } of tasks)
    for (const { hand, text } of answers) {
      const suggested = suggestMarks(held, text, language);
      suggested.forEach((each, at) => count(sum, each, hand[at]));
      if (/^m+$/.test(hand) && suggested.some(({ level }) => level !== 'm')) sum.given.push(text);
    }
  return sum;
}

function count(sum: Nearness, { level, sure }: SuggestedLevel, hand: string): void {
  const off = Math.abs(LEVEL_LETTERS.indexOf(level) - LEVEL_LETTERS.indexOf(hand));
  sum.all++;
  sum.same += Number(off === 0);
  sum.far += Number(off === 2);
  sum.always[hand] = (sum.always[hand] ?? 0) + 1;
  sum.sure += Number(sure);
  sum.sureSame += Number(sure && off === 0);
}

/** The same in a sentence. */
export function sayNearness(half: string, { all, same, far, always, sure, sureSame, given }: Nearness): string {
  const share = (part: number, of = all) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;
  const constant = [...LEVEL_LETTERS].map((letter) => `${letter} ${share(always[letter] ?? 0)}`).join(', ');
  return `Suggested marks, ${half}: the same level ${share(same)} of ${all}, two apart ${share(far)}; always the same would reach ${constant}; sure of ${share(sure)}, of these the same ${share(sureSame, sure)}; ${given.length} given something for nothing.`;
}
