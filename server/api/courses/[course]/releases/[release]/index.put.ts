import { AccessInput } from '../../../../../inputs/learning';
import { route } from '../../../../../route';

/** Who may take a release; withdrawing it, and making it available again. */
export default route({
  right: 'author',
  body: AccessInput,
  run({ me, ids, body, desks }) {
    const { access, withdrawn } = body;
    const { releases, audit, now } = desks;
    const id = ids.course;
    const row = releases.setAccess(id, ids.release, access, withdrawn);
    audit.note(now(), me.id, withdrawn ? 'release-withdrawn' : 'release-access', id, `${row.number} ${access}`);
    return row;
  },
});
