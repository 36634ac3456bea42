import type { CheckLint } from '../lint';
import type { NumberCheck } from './form';

export const number: CheckLint<NumberCheck> = ({ stem, unit }, { has }) =>
  !unit && has(stem, 'measure') ? [{ code: 'no-unit' }] : [];
