import type { Shown, ShownQuiz } from '../../core/learning/shown';
import type { LearnerEvent } from '../../core/learning/state';
import { chanceName, waitingKey, type Carrier, type PlayerState } from './carrier';

/** What the server knows of a learner and may tell them. */
export interface Told {
  read: string[];
  answers: Record<string, Shown>;
  quizzes: Record<string, ShownQuiz>;
  at?: string;
}

/** An event with when it happened, as it is sent. */
export type Sent = LearnerEvent & { at: number };

/** What a learner does, before it is an event. */
type Doing = { lesson: string } & (
  { kind: 'read' | 'sit' | 'hand' } | { kind: 'answer'; check: string; response: unknown }
);

/** An event as it was kept before checks had kinds, in today's form. */
function upToDate(kept: Sent & { option?: string }): Sent {
  const { option, ...event } = kept;
  return option === undefined || event.kind !== 'answer' ? event : { ...event, response: option };
}

const RETRY = 3000;
/** Events sent at once. */
const MOST = 100;

/**
 * Carries to our server, which keeps and marks. Every event is put into this browser's store first and taken out when
 * it is confirmed, so that a reload or a lost connection loses nothing. `send` gives what may be said to these events;
 * it throws when the server cannot be reached, and gives undefined when it refuses.
 */
export function serverCarrier(
  name: string,
  begun: Told,
  send: (events: readonly Sent[]) => Promise<Told | undefined>,
  box: Pick<Storage, 'getItem' | 'setItem'> = localStorage,
): Carrier {
  const listeners: (() => void)[] = [];
  let told = begun;
  let here = begun.at;
  let lost = false;
  let sending = false;
  let most = MOST;
  let outbox = load();

  function load(): Sent[] {
    try {
      const kept = JSON.parse(box.getItem(name) ?? '[]') as Sent[];
      return Array.isArray(kept) ? kept.map(upToDate) : [];
    } catch {
      return [];
    }
  }
  function tell() {
    try {
      box.setItem(name, JSON.stringify(outbox));
    } catch {
      // Without a store the events live as long as the page.
    }
    for (const listener of listeners) listener();
  }
  async function flush(): Promise<void> {
    if (sending || outbox.length === 0) return;
    sending = true;
    const batch = outbox.slice(0, most);
    try {
      const answer = await send(batch);
      // Something in it is refused for good: it is found one by one, and left out; the rest goes on.
      if (answer === undefined && batch.length > 1) most = 1;
      else outbox = outbox.filter((event) => !batch.includes(event));
      if (outbox.length === 0) most = MOST;
      if (answer)
        told = {
          read: [...new Set([...told.read, ...answer.read])],
          answers: { ...told.answers, ...answer.answers },
          quizzes: { ...told.quizzes, ...answer.quizzes },
        };
      lost = false;
    } catch {
      lost = true;
      setTimeout(() => void flush(), RETRY);
    }
    sending = false;
    tell();
    if (!lost) await flush();
  }
  function make(what: Doing) {
    const event: Sent = { id: chanceName(), at: Date.now(), ...what };
    outbox = [...outbox, event];
    here = event.lesson;
    tell();
    void flush();
  }
  if (outbox.length > 0) void flush();

  return {
    state(): PlayerState {
      const read = outbox.flatMap((event) => (event.kind === 'read' ? [event.lesson] : []));
      const waiting = Object.fromEntries(
        outbox.flatMap((event) =>
          event.kind === 'answer' ? [[waitingKey(event.lesson, event.check), event.response]] : [],
        ),
      );
      return {
        read: [...new Set([...told.read, ...read])],
        answers: told.answers,
        quizzes: told.quizzes,
        waiting,
        pending: outbox.flatMap(({ kind, lesson }) => (kind === 'sit' || kind === 'hand' ? [lesson] : [])),
        ...(here && { at: here }),
      };
    },
    lost: () => lost,
    subscribe: (listener) => void listeners.push(listener),
    visit: (lesson) => void (here = lesson),
    read: (lesson) => make({ kind: 'read', lesson }),
    answer: (lesson, check, response) => make({ kind: 'answer', lesson, check, response }),
    sit: (lesson) => make({ kind: 'sit', lesson }),
    hand: (lesson) => make({ kind: 'hand', lesson }),
  };
}
