import { ReleaseInput, rulesFrom } from '../../../../inputs/learning';
import { route } from '../../../../route';

/** Makes a course available as it stands. */
export default route({
  right: 'author',
  body: ReleaseInput,
  run({ me, ids, body, desks }) {
    const { note, access, rules, move } = body;
    const { releases, audit, now } = desks;
    const [id, person] = [ids.course, me.id];
    const made = releases.make(id, { note: note.trim(), access, rules: rulesFrom(rules), move }, person);
    audit.note(now(), person, 'release', id, `${made.number} ${access}`);
    return made;
  },
});
