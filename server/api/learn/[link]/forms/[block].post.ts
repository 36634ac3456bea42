import { fail } from '../../../../../core/document/problem';
import { SheetInput } from '../../../../inputs/learning';
import { formAt, notTooOften } from '../../../../utils/learner';
import { addressOf } from '../../../../utils/session';
import { route } from '../../../../route';

/** Takes a filled-in feedback form, of a learner or of whoever has its link. */
export default route({
  right: 'anyone',
  body: SheetInput,
  carries: 'events',
  run({ event, ids, me, body, desks }) {
    const { surveys, rates } = desks;
    const { release, state, learner } = formAt(event, ids.link, ids.block);
    if (state !== 'open') fail(state === 'sign-in' ? 'not-signed-in' : 'not-available');
    notTooOften(
      ...(learner ? [rates.learner(learner.id)] : [rates.formAddress(addressOf(event)), rates.form(ids.block)]),
    );
    surveys.give(
      release,
      ids.block,
      { id: body.sheet, answers: body.answers, named: body.named },
      { learner, name: me?.name ?? body.name },
    );
    return {};
  },
});
