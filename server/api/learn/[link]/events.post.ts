import { defineEventHandler } from 'h3';
import { EventsInput, eventFrom } from '../../../inputs/learning';
import { installation } from '../../../utils/installation';
import { learnerWhoMay, notTooOften } from '../../../utils/learner';
import { answering, bodyAs, idOf } from '../../../utils/request';

/** Takes in what a learner did; answers when it is on the disk, with what may be said to it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { events } = await bodyAs(event, EventsInput);
    const learner = learnerWhoMay(event, idOf(event, 'link'));
    const { learners, rates } = installation();
    notTooOften(rates.learner(learner.id));
    return learners.take(
      learner,
      events.flatMap((each) => eventFrom(each) ?? []),
    );
  }),
);
