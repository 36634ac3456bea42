import type { CheckMarking, Feedback } from '../marking';
import { toldOf } from '../options';
import { putNumber, takeNumber } from '../packing';
import { inUnit, reach, type NumberCheck } from './form';

export interface NumberView {
  unit?: string;
}

export interface NumberSecret {
  value: number;
  /** How far from the value is right still. */
  reach: number;
  known: { value: number; feedback: Feedback }[];
  quotes: string[];
}

/** Figures that are the same but for how machines count. */
const SAME = 1e-9;

/** The response is a number. */
export const number: CheckMarking<NumberCheck, NumberView, NumberSecret, number> = {
  view: ({ unit }) => ({ ...(unit && { unit }) }),
  secret: (check) => ({
    value: check.value,
    reach: reach(check),
    known: check.known.map(({ value, feedback }) => ({ value, feedback: toldOf(feedback) })),
    quotes: check.quotes.map(({ text }) => text),
  }),
  read: (response) => (typeof response === 'number' && Number.isFinite(response) ? response : undefined),
  mark({ value, reach: most, known, quotes }, response) {
    const isNear = (other: number, by: number) =>
      Math.abs(response - other) <= by + SAME * Math.max(1, Math.abs(other));
    if (isNear(value, most)) return { score: 1, state: 'marked', feedback: { code: 'right', quotes } };
    const found = known.find((each) => isNear(each.value, 0));
    return { score: 0, state: 'marked', feedback: found?.feedback ?? { code: 'own', quotes: [] } };
  },
  solution: ({ value, quotes }) => ({ response: value, feedback: { code: 'right', quotes } }),
  pack: (_, response, bits) => putNumber(response, bits),
  unpack: (_, bits) => takeNumber(bits),
  interaction: (_, response) => ({ type: 'numeric', response: [String(response)] }),
  said: ({ unit }, response) => [inUnit(String(response), unit)],
};
