import { route } from '../../../../route';

/** Every feedback form of a course's releases, with how often it was filled in. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.surveys.list(ids.course),
});
