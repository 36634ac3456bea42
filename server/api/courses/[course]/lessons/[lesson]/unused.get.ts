import { defineEventHandler } from 'h3';
import { installation } from '../../../../../utils/installation';
import { answering, idOf } from '../../../../../utils/request';

/** What the sources say on a lesson's topic and the course does not use, with its words. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { courses, sources, drafter } = installation();
    const id = idOf(event, 'course');
    const found = await drafter.ask('unused', {
      course: courses.load(id).course,
      lessonId: idOf(event, 'lesson'),
      sources: sources.keys(id),
    });
    const scores = new Map(found.map((each) => [each.id, each]));
    return sources
      .passages(
        id,
        found.map((each) => each.id),
        1,
      )
      .map((each) => ({ ...each, score: scores.get(each.passage.id)!.score }));
  }),
);
