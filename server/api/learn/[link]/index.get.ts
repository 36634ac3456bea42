import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { courseAt, learnerAt, mayTake } from '../../../utils/learner';
import { answering, idOf } from '../../../utils/request';
import type { Person } from '../../../database/people';

/** What a course is and how it counts, for whoever has its link. */
export default defineEventHandler((event) =>
  answering(() => {
    const { releases } = installation();
    const link = idOf(event, 'link');
    const course = courseAt(link);
    const person = event.context.person as Person | undefined;
    const learner = learnerAt(event, link);
    const release = learner
      ? releases.get(course, learner.release_id)
      : (releases.current(course) ?? releases.newest(course));
    const may = mayTake(release, person);
    if (!release)
      return {
        title: '',
        language: 'en',
        direction: 'ltr',
        promise: '',
        minutes: 0,
        lessons: 0,
        checks: 0,
        state: 'closed',
      };
    const { title, language, direction, promise } = releases.frozen(release.id).view;
    return {
      title,
      language,
      direction,
      promise,
      ...release.figures,
      rules: release.rules,
      state: may !== 'open' ? may : learner ? 'begun' : person ? 'open' : 'name',
      ...(person && { person: person.name }),
      ...(learner && { learner: learner.name }),
    };
  }),
);
