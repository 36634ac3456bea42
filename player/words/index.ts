import type { Feedback } from '../../core/check/marking';
import type { Rules } from '../../core/learning/rules';
import { de } from './de';
import { en } from './en';
import { es } from './es';
import { fr } from './fr';

/** Everything the learner's side says, in one language; `{name}` stands for a value. */
export interface Words {
  begin: string;
  goOn: string;
  yourName: string;
  nameWhy: string;
  closed: string;
  signIn: string;
  lessons: string;
  hideLessons: string;
  toText: string;
  path: string;
  minutes: string;
  minutesOf: string;
  lessonsOf: string;
  checksIn: string;
  lessonPlace: string;
  afterwards: string;
  done: string;
  here: string;
  shut: string;
  next: string;
  finish: string;
  back: string;
  check: string;
  answer: string;
  again: string;
  checking: string;
  yourAnswer: string;
  rightAnswer: string;
  right: string;
  wrong: string;
  triesLeft: string;
  says: string;
  feedback: Record<Exclude<Feedback['code'], 'right' | 'own'>, string>;
  kept: string;
  lost: string;
  left: Record<'read' | 'answer' | 'pass', string>;
  firstThese: string;
  stillHere: string;
  endTitle: string;
  endDone: string;
  endLeft: string;
  score: string;
  notPassed: string;
  stillOpen: string;
  elsewhere: string;
  elsewhereWhy: string;
  copied: string;
  callout: Record<'note' | 'tip' | 'warning' | 'example', string>;
  summary: string;
  ruleLesson: Record<Rules['lesson']['kind'], string>;
  ruleCourse: Record<Rules['course']['kind'], string>;
  ruleForced: string;
  ruleTries: string;
  size: string;
  rules: string;
  trouble: string;
  oneMinute: string;
}

const ALL: Record<string, Words> = { en, de, fr, es };

/** The words of a language; English where there are none, which `missing` says. */
export function wordsFor(language: string): { words: Words; language: string; missing: boolean } {
  const code = language.split('-')[0];
  return Object.hasOwn(ALL, code) ? { words: ALL[code], language: code, missing: false } : { words: en, language: 'en', missing: code !== 'und' };
}

/** A text with its values put in. */
export function say(text: string, values: Record<string, string | number> = {}): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) => (Object.hasOwn(values, name) ? String(values[name]) : whole));
}

/** The rules of a course in sentences. */
export function sayRules(words: Words, rules: Rules): string[] {
  const share = (value: number) => Math.round(value * 100);
  return [
    say(words.ruleLesson[rules.lesson.kind], rules.lesson.kind === 'passed' ? { share: share(rules.lesson.share) } : {}),
    say(words.ruleCourse[rules.course.kind], rules.course.kind === 'passed' ? { share: share(rules.course.share) } : {}),
    ...(rules.order === 'forced' ? [words.ruleForced] : []),
    ...(rules.tries !== null ? [say(words.ruleTries, { tries: rules.tries })] : []),
  ];
}
