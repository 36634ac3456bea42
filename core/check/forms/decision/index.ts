import type { Candidate, QuestionForm } from '../form';
import { ofProcedures } from './procedures';
import { ofRules } from './rules';
import { ofTables } from './tables';

/**
 * One decision after another: cases that a lesson tells apart come up in turn, and what is right in one is the bait in
 * the next. Out of rules with conditions; out of tables of cases and of bands, the figure inside of one; out of what is
 * done first and next when something happens; everywhere with what must never be done as a temptation.
 */
export const decisionQuestions: QuestionForm = (matter) => {
  const wording = matter.pack.questions?.decision;
  if (!wording) return [];
  const stories = [...ofRules(matter, wording), ...ofTables(matter, wording), ...ofProcedures(matter, wording)];
  return stories.filter((story, at) =>
    stories.every((other, place) => !tellsOf(other, story) || !isBefore([other, place], [story, at])),
  );
};

/** So much of what a story stands on stands in another. */
const SAME = 0.5;

/** Whether a story stands on most of what another stands on. */
function tellsOf(story: Candidate, other: Candidate): boolean {
  const shared = other.about.ranges.filter((own) =>
    story.about.ranges.some(({ id, from, to }) => id === own.id && from < own.to && to > own.from),
  ).length;
  return story !== other && shared > other.about.ranges.length * SAME;
}

/** Which of two that tell the same is kept: the surer one, or the first. */
const isBefore = ([a, at]: [Candidate, number], [b, place]: [Candidate, number]): boolean =>
  a.score > b.score || (a.score === b.score && at < place);
