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
    return { ...rest, title: lines[0].text };
  }
  if (levels.length < 2)
    return lines.length === 0 ? { modules: [] } : { modules: [{ title: moduleTitle, lessons: lines.map(lessonFrom) }] };
  const modules: OwnModule[] = [];
  for (const line of lines) {
    const module = modules.at(-1);
    const lesson = module?.lessons.at(-1);
    if (line.level === levels[0])
      modules.push({ title: line.text, ...(line.objective && { purpose: line.objective }), lessons: [] });
    else if (!module) modules.push({ title: moduleTitle, lessons: [lessonFrom(line)] });
    else if (!lesson || line.level === levels[1]) module.lessons.push(lessonFrom(line));
    else lesson.points.push(line.text);
  }
  return {
    modules: modules.map((module) =>
      module.lessons.length > 0 ? module : { ...module, lessons: [{ title: module.title, points: [] }] },
    ),
  };
}

const lessonFrom = ({ text, objective, minutes }: OutlineLine): OwnLesson => ({
  title: text,
  ...(objective && { objective }),
  ...(minutes !== undefined && { minutes }),
  points: [],
});
