import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, personOf, typedOf } from '../../utils/request';

/** Searches all sources a person has that are not put away. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources, search } = installation();
    return search.find(
      typedOf(event),
      sources
        .shelf(personOf(event).id)
        .filter((row) => row.put_away_at === null)
        .map(({ id, version }) => ({ id, version })),
    );
  }),
);
