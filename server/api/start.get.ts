import { route } from '../route';

/**
 * What a screen needs before anything else: who is signed in, whether there is an owner yet, whom a demo lets one be.
 */
export default route({
  right: 'anyone',
  run({ me, desks }) {
    const { people, demo } = desks;
    const all = people.all();
    const shown = ({ id, name }: { id: string; name: string }) => ({ id, name });
    const person = me;
    return {
      person: person ? { ...shown(person), role: person.role, mustChange: person.must_change === 1 } : null,
      needsOwner: all.length === 0,
      demoPeople: demo.byOneClick() ? all.map(shown) : [],
    };
  },
});
