import type { Claim } from '../knowledge';
import type { LanguagePack } from '../language/pack';
import { speaksOfEmergency } from '../language/emergency';
import { setsLimit } from '../language/limits';

/** What makes a claim one that must not be missed; one claim can have several. */
export type Facet = 'limit' | 'exception' | 'emergency' | 'prohibition' | 'deadline';

/** What words say that must not be missed, whether or not a claim is found in them. */
export function facetsOfText(
  text: string,
  { numbers, opensException }: Pick<LanguagePack, 'numbers' | 'opensException'>,
): Facet[] {
  return [
    ...(setsLimit(text, numbers ? numbers(text).length > 0 : /\d/.test(text)) ? ['limit' as const] : []),
    ...(opensException?.(text) ? ['exception' as const] : []),
    ...(speaksOfEmergency(text) ? ['emergency' as const] : []),
  ];
}

/** The facets of a claim. */
export function facetsOf(
  { kind, rule, text }: Pick<Claim, 'kind' | 'rule' | 'text'>,
  pack: Pick<LanguagePack, 'numbers' | 'opensException'>,
): Facet[] {
  return [
    ...new Set<Facet>([
      ...(kind === 'figure' ? ['limit' as const] : []),
      ...(rule?.exception !== undefined ? ['exception' as const] : []),
      ...facetsOfText(text, pack),
      ...(rule?.negative ? ['prohibition' as const] : []),
      ...(rule?.deadline !== undefined ? ['deadline' as const] : []),
    ]),
  ];
}

/** Kinds of claims that instruct: whoever misses one acts wrongly. */
const INSTRUCTING: ReadonlySet<Claim['kind']> = new Set([
  'rule',
  'definition',
  'step',
  'figure',
  'warning',
  'role',
  'tip',
  'comparison',
]);

/** Whether a claim instructs, rather than gives a reason or an example. */
export const instructs = ({ kind }: Pick<Claim, 'kind'>): boolean => INSTRUCTING.has(kind);
