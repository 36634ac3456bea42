import { simpleParser } from 'mailparser';
import { SMTPServer, type SMTPServerOptions } from 'smtp-server';
import { afterEach, beforeEach, describe, expect, it, onTestFinished, vi } from 'vitest';
import { peopleIn } from '../../../server/database/people';
import { openDatabase } from '../../../server/database/open';
import { newsDesk } from '../../../server/desk/news';
import { mailKind, sendLink } from '../../../server/jobs/mail';
import { jobQueue } from '../../../server/jobs/queue';
import { tokenHash } from '../../../server/rights/password';
import type { Letter, MailService } from '../../../server/services/mail';
import { outboxMail, type Outbox } from '../../../server/services/mail/outbox';
import { smtpMail } from '../../../server/services/mail/smtp';
import type { Mode } from '../../../server/services/service';
import { aFolder, INES, TOM } from '../../data';

const LETTER: Letter = {
  to: { name: 'Tom "T" Åshby', address: 'tom@example.org' },
  subject: 'Key № 4\r\nBcc: somebody@example.org',
  text: 'Hello,\n\nhttps://example.org/x#y\n.\nEnd – grün\n',
};

/** A mail server of another make, on a port of its own; what it takes is kept. */
async function aServer(options: SMTPServerOptions = {}): Promise<{ address: string; taken: Buffer[] }> {
  const taken: Buffer[] = [];
  const server = new SMTPServer({
    authOptional: true,
    onAuth: (_, __, done) => done(null, { user: 'desk' }),
    allowInsecureAuth: true,
    disabledCommands: ['STARTTLS'],
    onData(stream, _, done) {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        taken.push(Buffer.concat(parts));
        done();
      });
    },
    ...options,
  });
  server.on('error', () => undefined);
  await new Promise<void>((go) => server.listen(0, '127.0.0.1', go));
  onTestFinished(() => void server.close());
  return { address: `smtp://127.0.0.1:${(server.server.address() as { port: number }).port}`, taken };
}

describe('mail over SMTP', () => {
  it('reaches a server as it was written, whatever stands in name, subject and text', async () => {
    const { address, taken } = await aServer();
    const mail = smtpMail(address, 'Desk <desk@example.org>');
    expect(mail).toMatchObject({ standsIn: false, where: new URL(address).host });
    const id = await mail.send(LETTER);
    const read = await simpleParser(taken[0]);
    expect(read.messageId).toBe(id);
    expect(read.subject).toBe('Key № 4 Bcc: somebody@example.org');
    expect(read.bcc).toBeUndefined();
    expect(read.text).toBe(LETTER.text);
    expect([read.to, read.from].flat().map((each) => each?.value[0])).toEqual([
      { name: 'Tom "T" Åshby', address: 'tom@example.org' },
      { name: 'Desk', address: 'desk@example.org' },
    ]);
  });

  it.each<[string, SMTPServerOptions, string, boolean]>([
    [
      'an address that is refused',
      {
        onRcptTo: (_, __, done) => done(Object.assign(new Error('No such mailbox'), { responseCode: 550 })),
      },
      'mail-refused',
      true,
    ],
    [
      'a server that is busy',
      { onMailFrom: (_, __, done) => done(Object.assign(new Error('Try later'), { responseCode: 451 })) },
      'mail-not-reached',
      false,
    ],
    [
      'a wrong password',
      { authOptional: false, onAuth: (_, __, done) => done(new Error('No')) },
      'mail-not-let-in',
      false,
    ],
  ])('%s', async (_, options, code, forGood) => {
    const { address } = await aServer(options);
    const mail = smtpMail(address.replace('//', '//desk:secret@'), 'desk@example.org');
    const error = (await mail.send(LETTER).catch((each: unknown) => each)) as Error & { problem: { code: string } };
    expect(error.problem.code).toBe(code);
    expect(error.constructor.name === 'ProblemError').toBe(forGood);
    expect(JSON.stringify(error.problem)).not.toContain('secret');
  });

  it('a server that is not there may come back', async () => {
    const mail = smtpMail('smtp://127.0.0.1:1', 'desk@example.org');
    await expect(mail.send(LETTER)).rejects.toMatchObject({ problem: { code: 'mail-not-reached' } });
  });
});

describe('letters to people', () => {
  let mode: Mode = 'well';
  beforeEach(() => {
    mode = 'well';
    vi.useFakeTimers({ now: 1_000_000, shouldAdvanceTime: true });
  });
  afterEach(() => void vi.useRealTimers());

  function aDesk(real?: MailService) {
    const db = openDatabase(aFolder());
    onTestFinished(() => void db.close());
    const people = peopleIn(db);
    people.add({ id: INES, name: 'Ines Marlow', login: 'ines', role: 'owner' }, 'x.y', 1);
    people.add({ id: TOM, name: 'Tom Ashby', login: 'tom', role: 'member', mail: 'tom@example.org' }, '', 1);
    const now = () => Date.now();
    const outbox: Outbox = outboxMail(
      db,
      now,
      () => mode,
      (message) => jobs.undone('mail', { message }, { code: 'mail-came-back' }),
    );
    const jobs = jobQueue({ db, news: newsDesk(), now, kinds: { mail: mailKind({ db, mail: real ?? outbox, now }) } });
    onTestFinished(() => jobs.close());
    const send = (letter: 'invitation' | 'new-password' = 'invitation') =>
      sendLink(jobs, { id: TOM, name: 'Tom Ashby' }, { letter, by: INES, desk: 'http://desk.example' });
    const step = () => jobs.lastOf('mail', TOM)!.steps[0];
    const links = () => outbox.all().map(({ text }) => /welcome#(\S+)/.exec(text)![1]);
    return { people, outbox, jobs, send, step, links };
  }

  it('have a link that is theirs, once, for a week, and not under an older letter', async () => {
    const { people, jobs, send, step, links, outbox } = aDesk();
    send();
    await jobs.idle();
    expect(step()).toMatchObject({ state: 'done', item: TOM });
    const [first] = links();
    expect(people.byPasswordLink(tokenHash(first), Date.now())).toMatchObject({ id: TOM, password: '' });
    expect(outbox.all()[0]).toMatchObject({ recipient: 'Tom Ashby <tom@example.org>', state: 'sent' });
    expect((await simpleParser(outbox.message(outbox.all()[0].id)!)).text).toContain(first);
    send('new-password');
    await jobs.idle();
    const [second] = links();
    expect(people.byPasswordLink(tokenHash(first), Date.now())).toBeUndefined();
    expect(people.byPasswordLink(tokenHash(second), Date.now() + 8 * 86_400_000)).toBeUndefined();
    people.leave(TOM, 'A person who left', Date.now());
    expect(people.byPasswordLink(tokenHash(second), Date.now())).toBeUndefined();
    expect(people.nameOf(TOM)).toBe('A person who left');
  });

  it('are refused for good by a server that refuses, and not tried again', async () => {
    const { jobs, send, step, outbox } = aDesk();
    mode = 'refusing';
    send();
    await jobs.idle();
    expect(step()).toMatchObject({ state: 'failed', attempts: 0, problem: { code: 'mail-refused' } });
    expect(outbox.all()).toEqual([]);
  });

  it('wait for a server that is down, longer each time, and go when it is back', async () => {
    const { jobs, send, step, outbox } = aDesk();
    mode = 'broken';
    send();
    await vi.waitFor(() => expect(step().attempts).toBe(1));
    expect(step()).toMatchObject({ state: 'waiting', problem: { code: 'mail-not-reached' } });
    await vi.advanceTimersByTimeAsync(11_000);
    await vi.waitFor(() => expect(step().attempts).toBe(2));
    mode = 'well';
    await vi.advanceTimersByTimeAsync(61_000);
    await jobs.idle();
    expect(step().state).toBe('done');
    expect(outbox.all()).toHaveLength(1);
  });

  it('that come back are said to have, though they were taken', async () => {
    const { jobs, send, step, outbox } = aDesk();
    mode = 'bouncing';
    send();
    await jobs.idle();
    expect(step().state).toBe('done');
    await vi.advanceTimersByTimeAsync(3000);
    expect(step()).toMatchObject({ state: 'failed', problem: { code: 'mail-came-back' } });
    expect(outbox.all()[0].state).toBe('bounced');
  });

  it('that are slow are called off when nobody wants them any more', async () => {
    const { jobs, send, outbox } = aDesk();
    mode = 'slow';
    const id = send();
    await vi.advanceTimersByTimeAsync(1000);
    jobs.stop(INES, id);
    await jobs.idle();
    expect(jobs.lastOf('mail', TOM)).toMatchObject({ state: 'stopped', steps: [{ state: 'stopped' }] });
    expect(outbox.all()).toEqual([]);
  });
});
