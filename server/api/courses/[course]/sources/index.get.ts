import { defineEventHandler } from 'h3';
import { usedPassages } from '../../../../../core/draft/from-course';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';

/** The sources of a course, with what each holds and how many of its passages the course uses. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources } = installation();
    const id = idOf(event, 'course');
    const used = usedPassages(courses.load(id).course);
    return sources.ofCourse(id).map((row) => {
      const source = sources.read(row.id, row.version)?.source;
      const all = source?.passages ?? [];
      return { ...row, address: source?.address, published: source?.published, claims: sources.counts(row.id, row.version), passages: all.length, used: all.filter((passage) => used.has(passage.id)).length };
    });
  }));
