import { correctedElsewhere } from '../../../../../core/course/corrections';
import { usesOf } from '../../../../../core/course/uses';
import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/**
 * A source to read: sections, passages, claims, where the course stands on its passages, and how other courses of the
 * person corrected its reading.
 */
export default route({
  right: 'reader',
  run({ me, ids, desks }) {
    const { courses, sources } = desks;
    const [id, sourceId] = [ids.course, ids.source];
    const held = sources.inCourse(id, sourceId) ?? refuse({ code: 'no-such-source' });
    const { course } = courses.load(id);
    const uses = usesOf(course);
    const others = sources.usedIn(me.id).filter((row) => row.source_id === sourceId && row.id !== id);
    const elsewhere = others
      .map(({ id, title }) => ({ title, corrections: correctedElsewhere(course, courses.load(id).course, sourceId) }))
      .filter(({ corrections }) => corrections.length > 0);
    return {
      ...held,
      uses: Object.fromEntries(held.source.passages.flatMap(({ id }) => (uses.has(id) ? [[id, uses.get(id)!]] : []))),
      elsewhere,
    };
  },
});
