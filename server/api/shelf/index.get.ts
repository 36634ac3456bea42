import { route } from '../../route';

/** Every source a person has, with what it holds and which of their courses use it. */
export default route({
  right: 'signed-in',
  run({ me, desks }) {
    const { sources } = desks;
    const { id } = me;
    const uses = sources.usedIn(id);
    return sources.shelf(id).map(({ owner_id, ...row }) => ({
      ...row,
      own: owner_id === id,
      courses: uses.filter((use) => use.source_id === row.id).map((use) => ({ id: use.id, title: use.title })),
    }));
  },
});
