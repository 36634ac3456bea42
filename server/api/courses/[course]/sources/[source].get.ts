import { defineEventHandler } from 'h3';
import { usedPassages } from '../../../../../core/draft/from-course';
import { installation } from '../../../../utils/installation';
import { answering, idOf, refuse } from '../../../../utils/request';

/** A source to read: sections, passages, claims, and which passages the course uses. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources } = installation();
    const id = idOf(event, 'course');
    const held = sources.inCourse(id, idOf(event, 'source')) ?? refuse({ code: 'no-such-source' });
    const used = usedPassages(courses.load(id).course);
    return { ...held, used: held.source.passages.filter((passage) => used.has(passage.id)).map((passage) => passage.id) };
  }));
