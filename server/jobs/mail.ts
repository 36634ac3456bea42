import { fail } from '../../core/document/problem';
import { peopleIn } from '../database/people';
import type { Db } from '../database/open';
import { freshToken, tokenHash } from '../rights/password';
import type { MailService } from '../services/mail';
import { LETTERS, type LetterKind } from '../words/letters';
import type { JobKind } from './kind';
import type { JobQueue } from './queue';

const [SECOND, MINUTE, DAY] = [1000, 60_000, 86_400_000];
/** Days for which a link to choose a password works. */
const DAYS = 7;

/** What a letter is given: which, who sends it, and where the desk is reached. */
interface Payload {
  letter: LetterKind;
  by: string;
  desk: string;
}

/** What came of a letter: the id under which it may come back. */
export interface LetterSent {
  message: string;
}

/**
 * Letters as a kind of job: a step is a person. The link in a letter is made when it is sent and kept as a hash alone;
 * one that is sent again has another link, and the one before works no more.
 */
export function mailKind({ db, mail, now }: { db: Db; mail: MailService; now: () => number }): JobKind {
  const people = peopleIn(db);
  return {
    places: 4,
    waits: [10 * SECOND, MINUTE, 10 * MINUTE, 60 * MINUTE, 6 * 60 * MINUTE],
    async make({ job, item }, signal) {
      const { letter, by, desk } = job.payload as Payload;
      const person = people.byId(item) ?? fail('no-such-person');
      const address = person.mail ?? fail('no-mail');
      const token = freshToken();
      people.setPasswordLink(person.id, tokenHash(token), now() + DAYS * DAY);
      const facts = { name: person.name, login: person.login, by: people.nameOf(by), desk, days: DAYS };
      const { subject, text } = LETTERS[letter]({ ...facts, link: `${desk}/welcome#${token}` });
      const message = await mail.send({ to: { name: person.name, address }, subject, text }, signal);
      return (end) => end('done', { message } satisfies LetterSent);
    },
  };
}

/** Sends a person a link to choose a password by; `desk`: where they reach it. */
export function sendLink(jobs: JobQueue, person: { id: string; name: string }, { letter, by, desk }: Payload): string {
  const payload: Payload = { letter, by, desk };
  return jobs.add({ kind: 'mail', person: by, payload, items: [{ id: person.id, title: person.name }] });
}
