/**
 * Units of time with their seconds, in the languages whose numbers are found: a day and 24 hours are the same. Working
 * days are no such unit.
 */
const UNITS: readonly [pattern: RegExp, seconds: number][] = [
  [/^(?:seconds?|sekunden?|secondes?|segundos?)$/u, 1],
  [/^(?:minutes?|minuten?|minutos?)$/u, 60],
  [/^(?:hours?|stunden?|heures?|horas?)$/u, 3600],
  [/^(?:days?|tag(?:e|en|es|s)?|jours?|días?)$/u, 86_400],
  [/^(?:weeks?|wochen?|semaines?|semanas?)$/u, 604_800],
  [/^(?:months?|monat(?:e|en|es|s)?|mois|mes(?:es)?)$/u, 2_628_000],
  [/^(?:years?|jahr(?:e|en|es|s)?|ans?|années?|años?)$/u, 31_536_000],
];
const [MONTH, YEAR] = [2_628_000, 31_536_000];
/** Months have no one length: 30 days are one, and 28. */
const ABOUT = 0.08;

/** The seconds in a unit of time (a month and a year by their mean); undefined for any other word. */
export function secondsIn(word: string): number | undefined {
  return UNITS.find(([pattern]) => pattern.test(word.toLowerCase()))?.[1];
}

/** Whether two times, in seconds, are the same; months and years are so to their varying length. */
export function isSameTime(a: number, b: number): boolean {
  const varies = (time: number) => time % MONTH === 0 || time % YEAR === 0;
  return a === b || ((varies(a) || varies(b)) && Math.abs(a - b) <= ABOUT * Math.max(a, b));
}
