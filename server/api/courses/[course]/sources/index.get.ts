import { usesOf } from '../../../../../core/course/uses';
import { stripOf } from '../../../../../core/review/coverage';
import { route } from '../../../../route';

/** The sources of a course, with what each holds, and its strip: how much of it the course teaches and asks. */
export default route({
  right: 'reader',
  run({ me, ids, desks }) {
    const { courses, sources } = desks;
    const id = ids.course;
    const uses = usesOf(courses.load(id).course);
    const person = me.id;
    return sources.ofCourse(id).map((row) => {
      const source = sources.read(row.id, row.version)!.source;
      return {
        ...row,
        may: sources.mayOf(row.id, person),
        used: source.passages.filter((passage) => uses.has(passage.id)).length,
        strip: stripOf(source, uses),
      };
    });
  },
});
