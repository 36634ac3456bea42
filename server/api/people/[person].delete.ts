import { defineEventHandler, getQuery } from 'h3';
import { installation } from '../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../utils/request';

/**
 * Takes a person out: they can sign in no more and have no part in any course; what they made stays, their sources go
 * to who took them out. `?name=drop`: without their name.
 */
export default defineEventHandler((event) =>
  answering(() => {
    const { db, people, sources, audit, now } = installation();
    const by = personOf(event);
    const person = people.byId(idOf(event, 'person')) ?? refuse({ code: 'no-such-person' });
    if (person.id === by.id) refuse({ code: 'not-oneself' });
    const keeps = getQuery(event).name !== 'drop';
    db.transaction(() => {
      sources.handOver(person.id, by.id);
      people.leave(person.id, keeps ? person.name : 'A person who left', now());
      audit.note(now(), by.id, 'person-removed', person.id, keeps ? undefined : 'without the name');
    })();
    return {};
  }),
);
