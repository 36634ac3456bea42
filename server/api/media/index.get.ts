import { route } from '../../route';

/** The media of all courses that somebody has a part in, newest course first. */
export default route({
  right: 'signed-in',
  run({ me, desks }) {
    const { courses, media } = desks;
    return courses.list(me.id).flatMap(({ id, title }) =>
      media.ofCourse(id).map(({ hash, type, bytes, width, height, seconds, name }) => ({
        course: id,
        title,
        name,
        file: { hash, type, bytes, ...(width && { width, height }), ...(seconds !== undefined && { seconds }) },
      })),
    );
  },
});
