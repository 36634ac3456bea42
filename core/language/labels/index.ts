import type { Labels } from '../pack';

const LABELS: Record<string, Labels> = {
  en: {
    language: 'en',
    known: 'You know already:',
    and: 'and',
    moments: {
      before: 'Before you begin',
      doing: 'Doing the work',
      trouble: 'When something goes wrong',
      after: 'Questions and records',
      more: 'More of the work',
    },
    stepByStep: 'Step by step',
    opening: 'What it is about',
    asked: 'Questions people ask',
    moreQuestions: 'More questions',
  },
  de: {
    language: 'de',
    known: 'Schon bekannt:',
    and: 'und',
    moments: {
      before: 'Bevor es losgeht',
      doing: 'Die Arbeit selbst',
      trouble: 'Wenn etwas schiefgeht',
      after: 'Fragen und Nachweise',
      more: 'Mehr zur Arbeit',
    },
    stepByStep: 'Schritt für Schritt',
    opening: 'Worum es geht',
    asked: 'Was gefragt wird',
    moreQuestions: 'Weitere Fragen',
  },
  fr: {
    language: 'fr',
    known: 'Vous connaissez déjà :',
    and: 'et',
    moments: {
      before: 'Avant de commencer',
      doing: 'Le travail',
      trouble: 'Quand quelque chose va mal',
      after: 'Questions et suivi',
      more: 'Le travail, suite',
    },
    stepByStep: 'Étape par étape',
    opening: 'De quoi il s’agit',
    asked: 'Questions posées',
    moreQuestions: 'Autres questions',
  },
  es: {
    language: 'es',
    known: 'Ya conoce:',
    and: 'y',
    moments: {
      before: 'Antes de empezar',
      doing: 'El trabajo',
      trouble: 'Cuando algo sale mal',
      after: 'Preguntas y registros',
      more: 'Más sobre el trabajo',
    },
    stepByStep: 'Paso a paso',
    opening: 'De qué se trata',
    asked: 'Lo que se pregunta',
    moreQuestions: 'Más preguntas',
  },
};

/** The engine's own words in a language; English where it has none (`language` tells), with a stroke for "and". */
export function labelsFor(language: string): Labels {
  return LABELS[language.split('-')[0]] ?? { ...LABELS.en, and: '/' };
}
