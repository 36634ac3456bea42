import { defineEventHandler } from 'h3';
import { usesOf } from '../../../../../core/course/uses';
import { installation } from '../../../../utils/installation';
import { answering, idOf, refuse } from '../../../../utils/request';

/** A source to read: sections, passages, claims, and where the course stands on its passages. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources } = installation();
    const id = idOf(event, 'course');
    const held = sources.inCourse(id, idOf(event, 'source')) ?? refuse({ code: 'no-such-source' });
    const uses = usesOf(courses.load(id).course);
    return { ...held, uses: Object.fromEntries(held.source.passages.flatMap(({ id }) => (uses.has(id) ? [[id, uses.get(id)!]] : []))) };
  }));
