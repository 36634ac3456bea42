import { sameData } from '../document/canonical';
import type { LearnerEvent } from './state';
import { asksIn, lessonsOf, type LearnerCourse } from './view';

/** What a newer release changes for those who are under way on an older one, by ids of lessons. */
export interface Difference {
  same: string[];
  changed: string[];
  added: string[];
  gone: string[];
  /** Checks whose answers still count. */
  checks: string[];
}

/** Compares two releases. A lesson is the same when its title, text and checks are. */
export function difference(from: LearnerCourse, to: LearnerCourse): Difference {
  const checks = new Map(from.checks.map((check) => [check.id, check]));
  const stay = to.checks.filter((check) => sameData(checks.get(check.id) ?? null, check)).map((check) => check.id);
  const staying = new Set(stay);
  const before = new Map(lessonsOf(from).map((lesson) => [lesson.id, lesson]));
  const after = lessonsOf(to);
  const isSame = (lesson: (typeof after)[number]) => {
    const old = before.get(lesson.id)!;
    return (
      old.title === lesson.title &&
      sameData(old.blocks, lesson.blocks) &&
      sameData(old.quiz ?? null, lesson.quiz ?? null) &&
      asksIn(lesson).every((id) => staying.has(id))
    );
  };
  const kept = after.filter((lesson) => before.has(lesson.id));
  const here = new Set(after.map((lesson) => lesson.id));
  return {
    same: kept.filter(isSame).map((lesson) => lesson.id),
    changed: kept.filter((lesson) => !isSame(lesson)).map((lesson) => lesson.id),
    added: after.filter((lesson) => !before.has(lesson.id)).map((lesson) => lesson.id),
    gone: [...before.keys()].filter((id) => !here.has(id)),
    checks: stay,
  };
}

/**
 * Those events on an older release that count on a newer one: lessons that stayed as they were are still read, checks
 * still answered.
 */
export function carriedOver(events: readonly LearnerEvent[], { same, checks }: Difference): LearnerEvent[] {
  // What belongs to a check goes by the check; what belongs to a lesson, a try at a quiz too, by the lesson.
  return events.filter((event) => ('check' in event ? checks.includes(event.check) : same.includes(event.lesson)));
}
