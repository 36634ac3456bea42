import { route } from '../../../route';

/** Where links can be tried out: the demo's own site. */
export default route({
  right: 'author',
  run: ({ desks }) => desks.site,
});
