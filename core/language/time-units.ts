/** Units of time with their hours, in the languages whose numbers are found: a day and 24 hours are the same. Working days are no such unit. */
const UNITS: readonly [pattern: RegExp, hours: number][] = [
  [/^(?:seconds?|sekunden?|secondes?|segundos?)$/u, 1 / 3600],
  [/^(?:minutes?|minuten?|minutos?)$/u, 1 / 60],
  [/^(?:hours?|stunden?|heures?|horas?)$/u, 1],
  [/^(?:days?|tag(?:e|en|es|s)?|jours?|días?)$/u, 24],
  [/^(?:weeks?|wochen?|semaines?|semanas?)$/u, 168],
  [/^(?:months?|monat(?:e|en|es|s)?|mois|mes(?:es)?)$/u, 730],
  [/^(?:years?|jahr(?:e|en|es|s)?|ans?|années?|años?)$/u, 8760],
];

/** The hours in a unit of time; undefined for any other word. */
export function hoursIn(word: string): number | undefined {
  return UNITS.find(([pattern]) => pattern.test(word.toLowerCase()))?.[1];
}
