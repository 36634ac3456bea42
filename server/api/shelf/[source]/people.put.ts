import { SourceGiftInput } from '../../../inputs/people';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Lets somebody use or change a source of one's own, or not any more. */
export default route({
  right: 'signed-in',
  body: SourceGiftInput,
  run({ me, ids, body, desks }) {
    const { person, may } = body;
    const { sources, people, audit, now } = desks;
    const [id, by] = [ids.source, me.id];
    if (!people.byId(person) || person === by) refuse({ code: 'no-such-person' });
    sources.give(id, by, person, may);
    audit.note(now(), by, 'source-given', id, `${person} ${may}`);
    return {};
  },
});
