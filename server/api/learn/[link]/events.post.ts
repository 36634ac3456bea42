import { EventsInput, eventFrom } from '../../../inputs/learning';
import { learnerWhoMay, notTooOften } from '../../../utils/learner';
import { route } from '../../../route';

/** Takes in what a learner did; answers when it is on the disk, with what may be said to it. */
export default route({
  right: 'anyone',
  body: EventsInput,
  carries: 'events',
  run({ event, ids, body, desks }) {
    const { events } = body;
    const learner = learnerWhoMay(event, ids.link);
    const { learners, rates } = desks;
    notTooOften(rates.learner(learner.id));
    return learners.take(
      learner,
      events.flatMap((each) => eventFrom(each) ?? []),
    );
  },
});
