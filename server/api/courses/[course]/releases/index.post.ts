import { defineEventHandler } from 'h3';
import { ReleaseInput, rulesFrom } from '../../../../inputs/learning';
import { installation } from '../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../utils/request';

/** Makes a course available as it stands. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { note, access, rules, move } = await bodyAs(event, ReleaseInput);
    const { releases, audit, now } = installation();
    const [id, person] = [idOf(event, 'course'), personOf(event).id];
    const made = releases.make(id, { note: note.trim(), access, rules: rulesFrom(rules), move }, person);
    audit.note(now(), person, 'release', id, `${made.number} ${access}`);
    return made;
  }),
);
