import type { CheckLint } from '../lint';
import type { ShortCheck } from './form';

/** More than this is not typed as it stands. */
const MOST_WORDS = 6;

export const short: CheckLint<ShortCheck> = ({ accepted: [first] }) =>
  first.trim().split(/\s+/).length > MOST_WORDS ? [{ code: 'too-long' }] : [];
