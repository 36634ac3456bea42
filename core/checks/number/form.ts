import { boolean, list, number as numberShape, object, string } from '../../document/shape';
import { idShape, quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';
import { feedbackShape, keyProblems, type Option } from '../options';

/** A figure to be typed in. */
export interface NumberCheck extends CheckFrame {
  kind: 'number';
  value: number;
  /** So far from the value is right still: in its unit, or in per cent of it. */
  tolerance: number;
  inPercent?: boolean;
  /** Stands beside the field; what is typed has none. */
  unit?: string;
  /** Wrong figures that are to be expected, and what is said to them. */
  known: { id: string; value: number; feedback: Option['feedback'] }[];
  /** What the source says to it. */
  quotes: Quote[];
}

const known = object({ id: idShape, value: numberShape(), feedback: feedbackShape });

export const number: CheckForm<NumberCheck> = {
  fields: {
    required: {
      value: numberShape(),
      tolerance: numberShape({ min: 0 }),
      known: list(known),
      quotes: list(quoteShape),
    },
    optional: { inPercent: boolean, unit: string({ max: 40 }) },
  },
  problems(check) {
    const ids = check.known.map(({ id }) => id);
    const isRight = check.known.some(({ value }) => Math.abs(value - check.value) <= reach(check));
    return [...(ids.length > 0 ? keyProblems(ids, ids) : []), ...(isRight ? ['known-right'] : [])];
  },
  reworded: (check, change) => ({
    known: check.known.map(({ feedback, ...rest }) => ({
      ...rest,
      feedback: { ...feedback, ...(feedback.text && { text: change(feedback.text) }) },
    })),
  }),
  text: ({ stem, value, tolerance, inPercent, unit }) =>
    `${stem}\n\u2713 ${inUnit(String(value), unit)}${
      tolerance > 0 ? ` \u00b1 ${tolerance}${inPercent ? ' %' : ''}` : ''
    }`,
};

/** Signs that stand before their figure. */
export const LEADS = /^[£$€¥]$/;

/** A figure with its unit, where it has one. */
export const inUnit = (figure: string, unit: string | undefined): string =>
  !unit ? figure : LEADS.test(unit) ? unit + figure : `${figure} ${unit}`;

/** How far from the value is right still, in its unit. */
export function reach({ value, tolerance, inPercent }: Pick<NumberCheck, 'value' | 'tolerance' | 'inPercent'>): number {
  return inPercent ? (Math.abs(value) * tolerance) / 100 : tolerance;
}
