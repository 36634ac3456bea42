import { VideoInput } from '../../../inputs/course';
import { noted } from '../../../utils/noted';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Takes in what is said in a video, with the link to it. */
export default route({
  right: 'author',
  body: VideoInput,
  carries: 'text',
  async run({ me, ids, body, desks }) {
    const added = await desks.links.addVideo(ids.course, body, me.id);
    return added.ok ? noted({ me, ids, desks }, added) : refuse(added.problem);
  },
});
