import { route } from '../../../../../route';

/** What was answered to a feedback form. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.surveys.results(ids.course, ids.block),
});
