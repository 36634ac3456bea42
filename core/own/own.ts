/** An outline as its author wrote it somewhere else, before it meets a course or its sources. */
export interface OwnOutline {
  /** Of the course, where one line stands above all others. */
  title?: string;
  modules: OwnModule[];
}

export interface OwnModule {
  title: string;
  /** What it is for, where it says so. */
  purpose?: string;
  lessons: OwnLesson[];
}

export interface OwnLesson {
  title: string;
  /** What the learner can do afterwards, where it says so. */
  objective?: string;
  minutes?: number;
  /** What stands below it, in order. */
  points: string[];
}

/** A line of an outline with how deep it stands; any rising numbers do. */
export interface OutlineLine {
  level: number;
  text: string;
  objective?: string;
  minutes?: number;
}

/** An outline of more lines than this is none. */
export const MOST_LINES = 3000;
/** A title has so many signs at most; of a line that is a paragraph the beginning is its title. */
const LONGEST = 400;
/** A lesson of more minutes is a slip of somebody's hand. */
const MOST_MINUTES = 600;

/** A line's words as a title. */
function asTitle(text: string): string {
  const said = text.replace(/\s+/g, ' ').trim();
  return said.length <= LONGEST ? said : `${said.slice(0, LONGEST - 1).replace(/\s\S*$/, '')}…`;
}

/**
 * Lines with levels as modules, lessons and points: the outermost level are modules, the next lessons, all below points
 * of a lesson. Lines of one level alone are lessons of one module called `moduleTitle`. One line above all others, with
 * two levels below it, is the course's title. A module with nothing below it has one lesson of its name.
 */
export function nested(lines: readonly OutlineLine[], moduleTitle: string): OwnOutline {
  const levels = [...new Set(lines.map(({ level }) => level))].sort((a, b) => a - b);
  const outermost = lines.filter(({ level }) => level === levels[0]);
  if (levels.length > 2 && outermost.length === 1 && lines[0] === outermost[0]) {
    const rest = nested(lines.slice(1), moduleTitle);
    return { ...rest, title: asTitle(lines[0].text) };
  }
  if (levels.length < 2)
    return lines.length === 0
      ? { modules: [] }
      : { modules: [{ title: moduleTitle, lessons: lines.map((line) => ownLesson(line)) }] };
  const modules: OwnModule[] = [];
  for (const line of lines) {
    const module = modules.at(-1);
    const lesson = module?.lessons.at(-1);
    if (line.level === levels[0]) modules.push(ownModule(line.text, line.objective));
    else if (!module) modules.push({ title: moduleTitle, lessons: [ownLesson(line)] });
    else if (!lesson || line.level === levels[1]) module.lessons.push(ownLesson(line));
    else lesson.points.push(asTitle(line.text));
  }
  return {
    modules: modules.map((module) =>
      module.lessons.length > 0 ? module : { ...module, lessons: [{ title: module.title, points: [] }] },
    ),
  };
}

/** A lesson as a course can take it: its words no longer than they may be, minutes that can be meant. */
export function ownLesson(
  { text, objective, minutes }: Pick<OutlineLine, 'text' | 'objective' | 'minutes'>,
  points: readonly string[] = [],
): OwnLesson {
  const isMeant = minutes !== undefined && minutes > 0 && minutes <= MOST_MINUTES;
  return {
    title: asTitle(text),
    ...(objective && { objective: asTitle(objective) }),
    ...(isMeant && { minutes }),
    points: points.map(asTitle),
  };
}

/** A module without lessons yet. */
export const ownModule = (title: string, purpose = ''): OwnModule => ({
  title: asTitle(title),
  ...(purpose && { purpose: asTitle(purpose) }),
  lessons: [],
});
