import { createTransport } from 'nodemailer';
import { ProblemError } from '../../../core/document/problem';
import { Passing } from '../../jobs/kind';
import type { Db } from '../../database/open';
import { freshId } from '../../ids';
import { SLOW, waiting, type Mode } from '../service';
import type { MailService } from './index';

/** A letter that would have been sent. Times are milliseconds UTC. */
export interface OutboxRow {
  id: string;
  made_at: number;
  recipient: string;
  subject: string;
  text: string;
  state: 'sent' | 'bounced';
}

/** Letters kept; beyond that the oldest go. */
const KEPT = 500;
const FROM = 'Uplift Path <desk@example.org>';

export interface Outbox extends MailService {
  /** Every letter, newest first. */
  all(): OutboxRow[];
  /** A letter as it would go over the wire (RFC 5322). */
  message(id: string): Buffer | undefined;
}

/**
 * The stand-in for mail: letters stay in the installation, to be looked at, and go nowhere. `mode` says how it behaves;
 * `bounced` hears of letters that come back some time after they were taken.
 */
export function outboxMail(db: Db, now: () => number, mode: () => Mode, bounced: (id: string) => void): Outbox {
  const composer = createTransport({ streamTransport: true, buffer: true }, { from: FROM });
  const insert = db.prepare("insert into outbox values (?, ?, ?, ?, ?, ?, 'sent')");
  const trim = db.prepare(
    'delete from outbox where id not in (select id from outbox order by made_at desc, rowid desc limit ?)',
  );
  const all = db.prepare<[], OutboxRow>(
    'select id, made_at, recipient, subject, text, state from outbox order by made_at desc, rowid desc',
  );
  const message = db.prepare<[string], { message: Buffer }>('select message from outbox where id = ?');
  const comeBack = db.prepare("update outbox set state = 'bounced' where id = ?");
  return {
    standsIn: true,
    where: 'the outbox of this installation',
    async send({ to, subject, text }, signal) {
      const behaves = mode();
      if (behaves === 'slow') await waiting(SLOW, signal);
      if (behaves === 'refusing')
        throw new ProblemError({ code: 'mail-refused', parameters: { said: '550 5.1.1 No such mailbox here' } });
      if (behaves === 'broken')
        throw new Passing({ code: 'mail-not-reached', parameters: { said: 'Connection closed' } });
      const made = await composer.sendMail({ to, subject, text });
      const id = freshId('m');
      db.transaction(() => {
        insert.run(id, now(), `${to.name} <${to.address}>`, subject, text, made.message);
        trim.run(KEPT);
      })();
      if (behaves === 'bouncing')
        setTimeout(() => {
          if (!db.open) return;
          comeBack.run(id);
          bounced(id);
        }, SLOW / 2).unref();
      return id;
    },
    all: () => all.all(),
    message: (id) => message.get(id)?.message,
  };
}
