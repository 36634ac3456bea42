import { defineEventHandler } from 'h3';
import { installation } from '../../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../../utils/request';
import { meaningFor } from '../../../../../words/newer';

/** Fetches a link again; says what changed, and what of the course stood on it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { links, courses, stale, audit, now } = installation();
    const id = idOf(event, 'course');
    const newer = await links.again(id, idOf(event, 'source'), personOf(event).id);
    if ('problem' in newer) return refuse(newer.problem);
    if (!newer.same) {
      stale.follow(id, personOf(event).id, newer.change);
      audit.note(now(), personOf(event).id, 'source-version', idOf(event, 'source'));
    }
    return meaningFor(courses.load(id).course, newer);
  }),
);
