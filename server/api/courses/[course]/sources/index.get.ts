import { defineEventHandler } from 'h3';
import { usesOf } from '../../../../../core/course/uses';
import { stripOf } from '../../../../../core/review/coverage';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf } from '../../../../utils/request';

/** The sources of a course, with what each holds, and its strip: how much of it the course teaches and asks. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, sources } = installation();
    const id = idOf(event, 'course');
    const uses = usesOf(courses.load(id).course);
    const person = personOf(event).id;
    return sources.ofCourse(id).map((row) => {
      const source = sources.read(row.id, row.version)!.source;
      return {
        ...row,
        may: sources.mayOf(row.id, person),
        used: source.passages.filter((passage) => uses.has(passage.id)).length,
        strip: stripOf(source, uses),
      };
    });
  }),
);
