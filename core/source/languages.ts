/** Languages whose sentences are understood, at least in part: their packs find rules, terms, steps and figures. */
const UNDERSTOOD = new Set(['en', 'de', 'fr', 'es']);

/** Whether the sentences of a language ("en-GB") are understood. */
export function isUnderstood(language: string): boolean {
  return UNDERSTOOD.has(language.split('-')[0]);
}
