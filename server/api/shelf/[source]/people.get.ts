import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../utils/request';

/** Who else may use or change a source of one's own. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources, people } = installation();
    const [id, { id: person }] = [idOf(event, 'source'), personOf(event)];
    if (sources.mayOf(id, person) !== 'own') refuse({ code: 'no-such-source' });
    const given = new Map(sources.givenTo(id).map((row) => [row.id, row.may]));
    return people
      .all()
      .filter((each) => each.id !== person)
      .map((each) => ({ id: each.id, name: each.name, may: given.get(each.id) ?? 'none' }));
  }),
);
