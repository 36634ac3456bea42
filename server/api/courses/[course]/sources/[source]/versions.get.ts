import { defineEventHandler } from 'h3';
import { installation } from '../../../../../utils/installation';
import { answering, idOf, personOf } from '../../../../../utils/request';

/** The versions of a source, the one put last first: who put each and when, and which this course uses. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources } = installation();
    const [course, source, person] = [idOf(event, 'course'), idOf(event, 'source'), personOf(event).id];
    return { may: sources.mayOf(source, person), versions: sources.versions(course, source, person) };
  }),
);
