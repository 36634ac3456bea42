import { defineEventHandler } from 'h3';
import { installation } from '../utils/installation';
import { answering, personOf } from '../utils/request';
import { endSession } from '../utils/session';

/** Signs out on this browser. */
export default defineEventHandler((event) =>
  answering(() => {
    const { audit, now } = installation();
    endSession(event);
    audit.note(now(), personOf(event).id, 'sign-out');
    return {};
  }),
);
