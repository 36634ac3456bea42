import { defineEventHandler } from 'h3';
import { AccessInput } from '../../../../../inputs/learning';
import { installation } from '../../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../../utils/request';

/** Who may take a release; withdrawing it, and making it available again. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { access, withdrawn } = await bodyAs(event, AccessInput);
    const { releases, audit, now } = installation();
    const id = idOf(event, 'course');
    const row = releases.setAccess(id, idOf(event, 'release'), access, withdrawn);
    audit.note(
      now(),
      personOf(event).id,
      withdrawn ? 'release-withdrawn' : 'release-access',
      id,
      `${row.number} ${access}`,
    );
    return row;
  }),
);
