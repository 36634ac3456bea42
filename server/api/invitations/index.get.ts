import { route } from '../../route';

/** Parts in courses that one is offered. */
export default route({
  right: 'signed-in',
  run: ({ me, desks }) => desks.people.invitations(me.id),
});
