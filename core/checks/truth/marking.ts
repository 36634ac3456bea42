import type { CheckMarking, Feedback } from '../marking';
import type { TruthCheck } from './form';

export interface TruthSecret {
  answer: boolean;
  quotes: string[];
  why?: string;
}

const BITS = 2;

const said = ({ answer, quotes, why }: TruthSecret, response: boolean): Feedback => ({
  code: response === answer ? 'right' : 'own',
  quotes,
  ...(why && { text: why }),
});

/** The response is whether the statement is held to be true. */
export const truth: CheckMarking<TruthCheck, object, TruthSecret, boolean> = {
  view: () => ({}),
  secret: ({ answer, quotes, why }) => ({ answer, quotes: quotes.map(({ text }) => text), ...(why && { why }) }),
  read: (response) => (typeof response === 'boolean' ? response : undefined),
  mark: (secret, response) => ({
    score: response === secret.answer ? 1 : 0,
    state: 'marked',
    feedback: said(secret, response),
  }),
  solution: (secret) => ({ response: secret.answer, feedback: said(secret, secret.answer) }),
  pack: (_, response, bits) => bits.put(response ? 1 : 2, BITS),
  unpack: (_, bits) => [undefined, true, false][bits(BITS)],
  interaction: (_, response) => ({ type: 'true-false', response: [String(response)] }),
  said: (_, response) => [String(response)],
};
