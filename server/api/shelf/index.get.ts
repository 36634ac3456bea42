import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, personOf } from '../../utils/request';

/** Every source a person has, with what it holds and which of their courses use it. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources } = installation();
    const { id } = personOf(event);
    const uses = sources.usedIn(id);
    return sources.shelf(id).map(({ owner_id, ...row }) => ({
      ...row,
      own: owner_id === id,
      courses: uses.filter((use) => use.source_id === row.id).map((use) => ({ id: use.id, title: use.title })),
    }));
  }),
);
