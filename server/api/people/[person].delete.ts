import { RemovalInput } from '../../inputs/people';
import { refuse } from '../../utils/request';
import { route } from '../../route';

/**
 * Takes a person out: they can sign in no more and have no part in any course; what they made stays, their sources go
 * to who took them out. `?name=drop`: without their name.
 */
export default route({
  right: 'owner',
  query: RemovalInput,
  run({ query, me, ids, desks }) {
    const { db, people, sources, audit, now } = desks;
    const by = me;
    const person = people.byId(ids.person) ?? refuse({ code: 'no-such-person' });
    if (person.id === by.id) refuse({ code: 'not-oneself' });
    const keeps = query.name !== 'drop';
    db.transaction(() => {
      sources.handOver(person.id, by.id);
      people.leave(person.id, keeps ? person.name : 'A person who left', now());
      audit.note(now(), by.id, 'person-removed', person.id, keeps ? undefined : 'without the name');
    })();
    return {};
  },
});
