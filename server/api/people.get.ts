import { route } from '../route';
import { inWords } from '../words/jobs';

/**
 * Everybody of the installation, with the last letter to each; whether adding somebody ends the demo's way in by one
 * click, and where letters go.
 */
export default route({
  right: 'owner',
  run({ desks: { people, demo, jobs, mail } }) {
    return {
      people: people.all().map(({ invited, ...person }) => {
        const job = jobs.lastOf('mail', person.id);
        const [letter] = job ? inWords([job])[0].steps : [];
        return {
          ...person,
          invited: invited === 1,
          ...(job &&
            letter && {
              letter: { ...letter, at: job.ended_at ?? job.made_at, job: job.id, now: job.now.includes(person.id) },
            }),
        };
      }),
      byOneClick: demo.byOneClick(),
      mail: { standsIn: mail.standsIn, where: mail.where },
    };
  },
});
