import { PoolQuery } from '../inputs/query';
import { route } from '../route';

/** Questions of all one's courses, by what is looked for. */
export default route({
  right: 'signed-in',
  query: PoolQuery,
  run: ({ query: { from = 0, ...search }, me, desks }) => desks.pool.search(me.id, { ...search, from }),
});
