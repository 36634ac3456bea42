import { defineEventHandler } from 'h3';
import { SignInAsInput } from '../inputs/people';
import { installation } from '../utils/installation';
import { answering, bodyAs, refuse } from '../utils/request';
import { beginSession } from '../utils/session';

/** Takes on one of the demo's people, without a password; nowhere else. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { person } = await bodyAs(event, SignInAsInput);
    const { people, demo } = installation();
    if (!demo.byOneClick()) refuse({ code: 'not-a-demo' });
    const found = people.byId(person) ?? refuse({ code: 'wrong-sign-in' });
    beginSession(event, found);
    return { id: found.id, name: found.name, role: found.role, mustChange: false };
  }),
);
