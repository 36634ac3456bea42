import { ModeInput } from '../../inputs/people';
import { route } from '../../route';
import { MODES } from '../../services/service';
import { refuse } from '../../utils/request';

/** Makes a stand-in behave in another way; what is real behaves as it does. */
export default route({
  right: 'owner',
  body: ModeInput,
  run({ body: { service, mode }, desks }) {
    if (!desks[service].standsIn || !MODES[service].includes(mode)) refuse({ code: 'bad-input', place: 'mode' });
    desks.settings.setMode(service, mode);
    return {};
  },
});
