import { route } from '../../route';

/** Letters that would have been sent, newest first; none where mail is real. */
export default route({
  right: 'owner',
  run: ({ desks }) => desks.outbox?.all() ?? [],
});
