import { createEventStream } from 'h3';
import { mayCall } from '../../../rights/right';
import { SESSION_LASTS } from '../../../utils/session';
import { route, sessionOf } from '../../../route';

/** Milliseconds between two beats; each looks again whether the asker may still watch. */
const BEAT = 20_000;

/**
 * Says that something happened to a course: a new revision, a step of a job. What happened is asked for by the normal
 * routes.
 */
export default route({
  right: 'reader',
  run({ event, ids, desks }) {
    const { courses, people, news, now } = desks;
    const id = ids.course;
    const stream = createEventStream(event);
    const course = (revision: number) => void stream.push({ event: 'course', data: JSON.stringify({ revision }) });
    // Whoever heard of a revision before a break has not always been able to ask for it: it is said again.
    course(courses.load(id).revision);
    const leave = news.watch(id, (told) => {
      if (told.kind === 'course') course(told.revision);
      else void stream.push({ event: told.kind, data: JSON.stringify(told) });
    });
    const beat = setInterval(() => {
      const person = people.bySession(sessionOf(event), now() - SESSION_LASTS);
      if (person && mayCall('reader', person, people.roleIn(id, person.id)))
        void stream.push({ event: 'beat', data: '' });
      else void stream.close();
    }, BEAT);
    stream.onClosed(() => {
      leave();
      clearInterval(beat);
    });
    return stream.send();
  },
});
