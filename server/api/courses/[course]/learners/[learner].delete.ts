import { defineEventHandler, getQuery } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf } from '../../../../utils/request';

/** Takes a learner out with all they did; `?what=name`: only their name and the way back in. */
export default defineEventHandler((event) =>
  answering(() => {
    const { learners, audit, now } = installation();
    const [course, person] = [idOf(event, 'course'), personOf(event).id];
    const whole = getQuery(event).what !== 'name';
    const number = learners.remove(course, idOf(event, 'learner'), whole);
    audit.note(now(), person, whole ? 'learner-removed' : 'learner-unnamed', course, `${number} events`);
    return {};
  }),
);
