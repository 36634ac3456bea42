import type { Claim } from '../knowledge';
import type { LanguagePack } from '../language/pack';
import { speaksOfEmergency } from '../language/emergency';

/** What makes a claim one that must not be missed; one claim can have several. */
export type Facet = 'limit' | 'exception' | 'emergency' | 'prohibition' | 'deadline';

/** The facets of a claim. */
export function facetsOf(claim: Pick<Claim, 'kind' | 'rule' | 'text'>, pack: Pick<LanguagePack, 'opensException'>): Facet[] {
  const { kind, rule, text } = claim;
  return [
    ...(kind === 'figure' ? ['limit' as const] : []),
    ...(rule?.exception !== undefined || pack.opensException?.(text) ? ['exception' as const] : []),
    ...(speaksOfEmergency(text) ? ['emergency' as const] : []),
    ...(rule?.negative ? ['prohibition' as const] : []),
    ...(rule?.deadline !== undefined ? ['deadline' as const] : []),
  ];
}

/** Kinds of claims that instruct: whoever misses one acts wrongly. */
const INSTRUCTING: ReadonlySet<Claim['kind']> = new Set(['rule', 'definition', 'step', 'figure', 'warning', 'role', 'tip', 'comparison']);

/** Whether a claim instructs, rather than gives a reason or an example. */
export const instructs = ({ kind }: Pick<Claim, 'kind'>): boolean => INSTRUCTING.has(kind);
