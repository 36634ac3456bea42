import { defineEventHandler } from 'h3';
import { VideoInput } from '../../../inputs/course';
import { noted } from '../../../utils/noted';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../utils/request';

/** Takes in what is said in a video, with the link to it. */
export default defineEventHandler((event) =>
  answering(async () => {
    const added = await installation().links.addVideo(
      idOf(event, 'course'),
      await bodyAs(event, VideoInput),
      personOf(event).id,
    );
    return added.ok ? noted(event, added) : refuse(added.problem);
  }),
);
