import { defineEventHandler } from 'h3';
import { PutAwayInput } from '../../inputs/course';
import { installation } from '../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../utils/request';

/** Puts a source of one's own away from the shelf, or back. Courses that use it go on using it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { away } = await bodyAs(event, PutAwayInput);
    if (!installation().sources.putAway(idOf(event, 'source'), personOf(event).id, away))
      refuse({ code: 'no-such-source' });
    return {};
  }),
);
