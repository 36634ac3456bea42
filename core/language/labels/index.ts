import type { Labels } from '../pack';

const LABELS: Record<string, Labels> = {
  en: { language: 'en', summary: 'In short', keyTerms: 'Words to know', and: 'and' },
  de: { language: 'de', summary: 'Kurz gefasst', keyTerms: 'Wichtige Wörter', and: 'und' },
  fr: { language: 'fr', summary: 'En bref', keyTerms: 'Mots à connaître', and: 'et' },
  es: { language: 'es', summary: 'En resumen', keyTerms: 'Palabras clave', and: 'y' },
};

/** The engine's own words in a language; English where it has none (`language` tells). */
export function labelsFor(language: string): Labels {
  return LABELS[language.split('-')[0]] ?? LABELS.en;
}
