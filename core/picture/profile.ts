/** One lesson of the path: its length in minutes, its demand (0 to 10), how many checks stand on it. */
export interface ProfileLesson {
  id: string;
  title: string;
  minutes: number;
  demand: number;
  checks: number;
}

export interface ProfileModule {
  title: string;
  lessons: ProfileLesson[];
}

/** The drawn path: a closed outline per lesson, the line along the top, posts for checks, where modules begin. */
export interface ProfileDrawing {
  width: number;
  height: number;
  /** Height of the line the path stands on. */
  ground: number;
  segments: { id: string; title: string; path: string; x: number; width: number; top: number }[];
  line: string;
  posts: { x: number; y: number }[];
  modules: { title: string; x: number; width: number }[];
}

/** Room below for names and above for posts. */
const ROOM = { foot: 18, head: 16 };
const SHOULDER = 7;
const LOWEST_TOP = 4;

/**
 * The path profile: across, minutes to scale; upward, demand, to the course's highest. A lesson is a plateau;
 * neighbours are joined by a short slope. All numbers rounded to tenths, so that the drawing is the same everywhere.
 */
export function drawProfile(
  modules: readonly ProfileModule[],
  width: number,
  height: number,
  room: { foot: number; head: number } = ROOM,
): ProfileDrawing {
  const lessons = modules.flatMap((module) => module.lessons);
  const total = Math.max(
    0.1,
    lessons.reduce((sum, lesson) => sum + lesson.minutes, 0),
  );
  const ground = height - room.foot;
  // A course of easy lessons fills the height too; only below this demand does it lie low.
  const highest = Math.max(LOWEST_TOP, ...lessons.map((lesson) => lesson.demand));
  const scale = (ground - room.head) / highest;
  const levels = lessons.map((lesson) => round(ground - Math.max(0.6, lesson.demand) * scale));
  const edges = lessons
    .reduce<number[]>((all, lesson) => [...all, all[all.length - 1] + (lesson.minutes / total) * width], [0])
    .map(round);
  const drawing: ProfileDrawing = { width, height, ground, segments: [], line: '', posts: [], modules: [] };
  lessons.forEach((lesson, at) => {
    const [from, to] = [edges[at], edges[at + 1]];
    const slope = Math.min(SHOULDER, width / 140, (to - from) / 2);
    const start = at === 0 ? levels[0] : round((levels[at - 1] + levels[at]) / 2);
    const end = at === lessons.length - 1 ? levels[at] : round((levels[at] + levels[at + 1]) / 2);
    const top = `${from},${start} L${round(from + slope)},${levels[at]} L${round(to - slope)},${levels[at]} L${to},${end}`;
    drawing.segments.push({
      id: lesson.id,
      title: lesson.title,
      path: `M${from},${ground} L${top} L${to},${ground} Z`,
      x: from,
      width: round(to - from),
      top: start,
    });
    drawing.line += `${at === 0 ? 'M' : ' L'}${top}`;
    for (let check = 0; check < lesson.checks; check++) {
      drawing.posts.push({ x: round((from + to) / 2 + (check - (lesson.checks - 1) / 2) * 9), y: levels[at] });
    }
  });
  let at = 0;
  for (const module of modules) {
    const x = edges[at];
    at += module.lessons.length;
    drawing.modules.push({ title: module.title, x, width: round(edges[at] - x) });
  }
  return drawing;
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
