import type { CheckMarking, Feedback } from '../marking';
import { putText, takeText } from '../packing';
import { LONGEST_OPEN, type OpenCheck } from './form';

export interface OpenView {
  /** A person reads and marks it, where there is one. */
  byPerson?: true;
}

export interface OpenSecret {
  by: OpenCheck['by'];
  model: string;
  looksFor: string[];
  quotes: string[];
}

const compare = ({ looksFor, quotes }: OpenSecret): Feedback => ({
  code: 'compare',
  quotes,
  ...(looksFor.length > 0 && { points: looksFor }),
});

/** The response is what was written. Where the learner compares it themselves, having written is enough. */
export const open: CheckMarking<OpenCheck, OpenView, OpenSecret, string> = {
  view: ({ by }) => (by === 'person' ? { byPerson: true } : {}),
  secret: ({ by, model, looksFor, quotes }) => ({ by, model, looksFor, quotes: quotes.map(({ text }) => text) }),
  alone: ({ secret }) => ({ view: {}, secret: { ...secret, by: 'learner' } }),
  read: (response) =>
    typeof response === 'string' && response.trim() !== '' && response.length <= LONGEST_OPEN ? response : undefined,
  mark: (secret) =>
    secret.by === 'person' ? { score: 0, state: 'waiting' } : { score: 1, state: 'marked', feedback: compare(secret) },
  solution: (secret) => ({ response: secret.model, feedback: compare(secret) }),
  typed: true,
  pack: (_, response, bits) => putText(response, bits),
  unpack: (_, bits) => takeText(bits),
  interaction: (_, response) => ({ type: 'long-fill-in', response: [response] }),
  said: (_, response) => [response],
};
