import { route } from '../route';

/** The sites whose pages may be shown within lessons. */
export default route({
  right: 'signed-in',
  run: ({ desks }) => ({ hosts: desks.settings.embeds() }),
});
