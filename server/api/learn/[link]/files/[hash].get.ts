import { learnerWhoMay } from '../../../../utils/learner';
import { mediaHash, saveFile } from '../../../../utils/media';
import { route } from '../../../../route';

/** A file that the learner handed in, to be saved. */
export default route({
  right: 'anyone',
  run({ event, ids, desks }) {
    const learner = learnerWhoMay(event, ids.link);
    return saveFile(event, desks.handed.get(learner.id, mediaHash(event)));
  },
});
