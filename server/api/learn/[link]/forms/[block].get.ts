import { formAt } from '../../../../utils/learner';
import { route } from '../../../../route';

/** A feedback form, for whoever has its link: what it asks, and whether it can be filled in now. */
export default route({
  right: 'anyone',
  run({ event, ids, me, desks }) {
    const { releases, surveys } = desks;
    const { release, body, state, learner } = formAt(event, ids.link, ids.block);
    const { title, language, direction } = releases.frozen(release.id).view;
    const name = learner?.name ?? me?.name;
    return {
      course: title,
      language,
      direction,
      body,
      state: state === 'open' && body.named && !name ? ('name' as const) : state,
      ...(name && { name }),
      ...surveys.sent(ids.block, { learner }),
    };
  },
});
