import { defineEventHandler } from 'h3';
import { SourceGiftInput } from '../../../inputs/people';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../utils/request';

/** Lets somebody use or change a source of one's own, or not any more. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { person, may } = await bodyAs(event, SourceGiftInput);
    const { sources, people, audit, now } = installation();
    const [id, by] = [idOf(event, 'source'), personOf(event).id];
    if (!people.byId(person) || person === by) refuse({ code: 'no-such-person' });
    sources.give(id, by, person, may);
    audit.note(now(), by, 'source-given', id, `${person} ${may}`);
    return {};
  }),
);
