import type { CheckLint } from '../lint';
import type { OpenCheck } from './form';

export const open: CheckLint<OpenCheck> = ({ model, looksFor }) =>
  model.trim() === '' && looksFor.length === 0 ? [{ code: 'no-model' }] : [];
