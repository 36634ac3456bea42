import { EmbedsInput } from '../inputs/people';
import { route } from '../route';

/** Says which sites' pages may be shown within lessons. What is released already keeps to the list it was made with. */
export default route({
  right: 'owner',
  body: EmbedsInput,
  run({ body: { hosts }, desks }) {
    desks.settings.setEmbeds([...new Set(hosts)].sort());
    return { hosts: desks.settings.embeds() };
  },
});
