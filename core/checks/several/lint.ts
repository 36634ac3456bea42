import type { CheckLint } from '../lint';
import { optionFlaws } from '../option-lint';
import type { SeveralCheck } from './form';

export const several: CheckLint<SeveralCheck> = (check, tools) => [
  ...optionFlaws(check, check.keys, tools),
  ...(check.keys.length === check.options.length ? [{ code: 'all-right' as const }] : []),
  ...(check.keys.length === 1 ? [{ code: 'one-right' as const }] : []),
];
