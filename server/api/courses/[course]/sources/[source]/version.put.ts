import { SourceVersionInput } from '../../../../../inputs/people';
import { meaningFor } from '../../../../../words/newer';
import { route } from '../../../../../route';

/**
 * Makes the course use another version of a source, an earlier one too; says what differs, and what of the course stood
 * on it.
 */
export default route({
  right: 'author',
  body: SourceVersionInput,
  run({ me, ids, body, desks }) {
    const { version } = body;
    const { sources, courses, stale, audit, now } = desks;
    const [id, source, person] = [ids.course, ids.source, me.id];
    const other = sources.useVersion(id, source, version, person);
    if (!other.same) stale.follow(id, person, other.change);
    audit.note(now(), person, 'source-version', source, version.slice(0, 8));
    return meaningFor(courses.load(id).course, other);
  },
});
