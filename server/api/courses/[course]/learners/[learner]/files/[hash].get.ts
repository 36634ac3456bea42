import { mediaHash, saveFile } from '../../../../../../utils/media';
import { route } from '../../../../../../route';

/** A file that a learner handed in, to be saved by who marks. */
export default route({
  right: 'marker',
  run({ event, ids, desks }) {
    const { learner } = desks.learners.standing(ids.course, ids.learner);
    return saveFile(event, desks.handed.get(learner.id, mediaHash(event)));
  },
});
