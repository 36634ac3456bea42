import type { Rules } from '~~/core/learning/rules';

/** Who may take a release, in words. */
export const ACCESS = {
  people: 'People of this installation',
  link: 'Anyone with the address, by name only',
  nobody: 'Nobody here: for packages',
} as const;
export type Access = keyof typeof ACCESS;

export const LESSON_RULES: Record<Rules['lesson']['kind'], string> = {
  read: 'read to its end',
  answered: 'read, and its checks answered',
  passed: 'read, and enough of its checks right',
};
export const COURSE_RULES: Record<Rules['course']['kind'], string> = {
  lessons: 'all lessons are done',
  passed: 'all lessons are done and enough of all checks right',
};

export const ORDERS: Record<Rules['order'], string> = { free: 'in any order', forced: 'one after another' };
/** Tries at a check; kept in forms as text. */
export const TRIES = [
  { value: '1', label: 'one' },
  { value: '2', label: 'two' },
  { value: '3', label: 'three' },
  { value: 'any', label: 'as many as one likes' },
] as const;
/** What becomes of learners under way when a release is made. */
export const MOVES = {
  stay: 'They stay on their release and finish it as it is.',
  move: 'They go on with this one: lessons as before stay done, changed and new ones are open again.',
} as const;

/** The rules of a release in one line. */
export function ruleLine({ lesson, course, order, tries }: Rules): string {
  const share = (rule: { kind: string; share?: number }) =>
    rule.share === undefined ? '' : ` (${Math.round(rule.share * 100)} %)`;
  return `lesson done: ${LESSON_RULES[lesson.kind]}${share(lesson)}; completed: ${COURSE_RULES[course.kind]}${share(course)}; ${order === 'forced' ? 'in order' : 'in any order'}; ${tries === null ? 'any number of tries' : tries === 1 ? 'one try' : `${tries} tries`}`;
}
