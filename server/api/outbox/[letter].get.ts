import { setResponseHeaders } from 'h3';
import { route } from '../../route';
import { refuse } from '../../utils/request';

/** A letter that would have been sent, as it would go over the wire. */
export default route({
  right: 'owner',
  run({ event, ids, desks }) {
    const message = desks.outbox?.message(ids.letter) ?? refuse({ code: 'no-such-letter' });
    setResponseHeaders(event, {
      'content-type': 'message/rfc822',
      'content-disposition': `attachment; filename="${ids.letter}.eml"`,
    });
    return message;
  },
});
