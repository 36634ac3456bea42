import type { CheckLint } from '../lint';
import { optionFlaws } from '../option-lint';
import type { AreaCheck } from './form';

/** Areas are looked at, not read: what gives an answer away by its words or its length does so here to nobody. */
const OF_WORDS: ReadonlySet<string> = new Set(['longest', 'given-away', 'absolute', 'vague', 'many', 'twice-negative']);

export const area: CheckLint<AreaCheck> = (check, tools) => [
  ...(check.picture ? [] : [{ code: 'no-picture' as const }]),
  ...optionFlaws(check, check.keys, tools).filter(({ code }) => !OF_WORDS.has(code)),
  ...(check.keys.length === check.options.length ? [{ code: 'all-right' as const }] : []),
];
