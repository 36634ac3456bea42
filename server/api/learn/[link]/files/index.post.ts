import { fail } from '../../../../../core/document/problem';
import { HandedQuery } from '../../../../inputs/query';
import { learnerWhoMay, notTooOften } from '../../../../utils/learner';
import { withUpload } from '../../../../utils/upload';
import { route } from '../../../../route';

/** Takes in a file for a task; it is handed in with the answer that names it. */
export default route({
  right: 'anyone',
  query: HandedQuery,
  carries: 'file',
  run({ event, ids, query, desks }) {
    const learner = learnerWhoMay(event, ids.link);
    const { handed, handIns, rates } = desks;
    notTooOften(rates.handed(learner.id));
    const kinds =
      handIns.task(learner, query.check).handIn.files?.kinds ?? fail('no-such-task', undefined, query.check);
    return withUpload(event, (path, name) => handed.take(learner, path, name, kinds));
  },
});
