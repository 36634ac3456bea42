import type { Labels } from '../pack';

const LABELS: Record<string, Labels> = {
  en: { language: 'en', summary: 'In short', known: 'You know already:', and: 'and', told: 'From experience' },
  de: { language: 'de', summary: 'Kurz gefasst', known: 'Schon bekannt:', and: 'und', told: 'Aus Erfahrung' },
  fr: { language: 'fr', summary: 'En bref', known: 'Vous connaissez déjà :', and: 'et', told: 'D’expérience' },
  es: { language: 'es', summary: 'En resumen', known: 'Ya conoce:', and: 'y', told: 'De la experiencia' },
};

/** The engine's own words in a language; English where it has none (`language` tells), with a stroke for "and". */
export function labelsFor(language: string): Labels {
  return LABELS[language.split('-')[0]] ?? { ...LABELS.en, and: '/' };
}
