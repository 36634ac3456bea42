import { TypedQuery } from '../../inputs/query';
import { route } from '../../route';

/** Searches all sources a person has that are not put away. */
export default route({
  right: 'signed-in',
  query: TypedQuery,
  run({ query, me, desks }) {
    const { sources, search } = desks;
    return search.find(
      query.typed,
      sources
        .shelf(me.id)
        .filter((row) => row.put_away_at === null)
        .map(({ id, version }) => ({ id, version })),
    );
  },
});
