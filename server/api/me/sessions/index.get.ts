import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, personOf } from '../../../utils/request';
import { sessionId } from '../../../utils/session';

/** Where one is signed in: device, address, times; which of them is this browser. */
export default defineEventHandler((event) =>
  answering(() =>
    installation()
      .people.sessions(personOf(event).id)
      .map(({ token_hash, ...row }) => ({
        id: sessionId(token_hash),
        here: token_hash === event.context.session,
        ...row,
      })),
  ),
);
