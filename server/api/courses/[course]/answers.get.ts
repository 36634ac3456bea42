import { route } from '../../../route';

/** What was understood of the author's answers, and whether the sources hold them as they are. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => desks.interview.view(ids.course),
});
