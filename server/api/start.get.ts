import { defineEventHandler } from 'h3';
import type { Person } from '../database/people';
import { installation } from '../utils/installation';

/** What a screen needs before anything else: who is signed in, whether there is an owner yet, whom a demo lets one be. */
export default defineEventHandler((event) => {
  const { people, isDemo } = installation();
  const all = people.all();
  const shown = ({ id, name }: Person) => ({ id, name });
  const person = event.context.person as Person | undefined;
  return { person: person ? { ...shown(person), role: person.role } : null, needsOwner: all.length === 0, demoPeople: isDemo ? all.map(shown) : [] };
});
