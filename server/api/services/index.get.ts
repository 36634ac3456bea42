import { route } from '../../route';
import { MODES, SERVICES } from '../../services/service';

/** The services outside that this installation asks: what is used, where it goes, and how a stand-in behaves. */
export default route({
  right: 'owner',
  run: ({ desks }) =>
    SERVICES.map((name) => ({
      name,
      standsIn: desks[name].standsIn,
      where: desks[name].where,
      mode: desks.settings.mode(name),
      modes: [...MODES[name]],
    })),
});
