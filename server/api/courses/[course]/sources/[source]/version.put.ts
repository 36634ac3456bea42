import { defineEventHandler } from 'h3';
import { SourceVersionInput } from '../../../../../inputs/people';
import { installation } from '../../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../../utils/request';
import { meaningFor } from '../../../../../words/newer';

/**
 * Makes the course use another version of a source, an earlier one too; says what differs, and what of the course stood
 * on it.
 */
export default defineEventHandler((event) =>
  answering(async () => {
    const { version } = await bodyAs(event, SourceVersionInput);
    const { sources, courses, stale, audit, now } = installation();
    const [id, source, person] = [idOf(event, 'course'), idOf(event, 'source'), personOf(event).id];
    const other = sources.useVersion(id, source, version, person);
    if (!other.same) stale.follow(id, person, other.change);
    audit.note(now(), person, 'source-version', source, version.slice(0, 8));
    return meaningFor(courses.load(id).course, other);
  }),
);
