import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Who else may use or change a source of one's own. */
export default route({
  right: 'signed-in',
  run({ me, ids, desks }) {
    const { sources, people } = desks;
    const [id, { id: person }] = [ids.source, me];
    if (sources.mayOf(id, person) !== 'own') refuse({ code: 'no-such-source' });
    const given = new Map(sources.givenTo(id).map((row) => [row.id, row.may]));
    return people
      .all()
      .filter((each) => each.id !== person)
      .map((each) => ({ id: each.id, name: each.name, may: given.get(each.id) ?? ('none' as const) }));
  },
});
