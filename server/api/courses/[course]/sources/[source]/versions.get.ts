import { route } from '../../../../../route';

/** The versions of a source, the one put last first: who put each and when, and which this course uses. */
export default route({
  right: 'reader',
  run({ me, ids, desks }) {
    const { sources } = desks;
    const [course, source, person] = [ids.course, ids.source, me.id];
    return { may: sources.mayOf(source, person), versions: sources.versions(course, source, person) };
  },
});
