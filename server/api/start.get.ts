import { defineEventHandler } from 'h3';
import type { SignedIn } from '../database/people';
import { installation } from '../utils/installation';
import { answering } from '../utils/request';

/**
 * What a screen needs before anything else: who is signed in, whether there is an owner yet, whom a demo lets one be.
 */
export default defineEventHandler((event) =>
  answering(() => {
    const { people, demo } = installation();
    const all = people.all();
    const shown = ({ id, name }: { id: string; name: string }) => ({ id, name });
    const person = event.context.person as SignedIn | undefined;
    return {
      person: person ? { ...shown(person), role: person.role, mustChange: person.must_change === 1 } : null,
      needsOwner: all.length === 0,
      demoPeople: demo.byOneClick() ? all.map(shown) : [],
    };
  }),
);
