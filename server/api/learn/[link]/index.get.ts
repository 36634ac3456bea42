import { courseAt, learnerAt, mayTake } from '../../../utils/learner';
import { route } from '../../../route';

/** What a course is and how it counts, for whoever has its link. */
export default route({
  right: 'anyone',
  run({ event, me, ids, desks }) {
    const { releases } = desks;
    const link = ids.link;
    const course = courseAt(link);
    const person = me;
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
  },
});
