/** What a drafted feedback form asks, in one language; `{name}` stands for a value. */
export interface SurveyDraftWords {
  titles: Record<'before' | 'between' | 'end', string>;
  intros: Record<'before' | 'between' | 'end', string>;
  /** How sure one is of an aim, now. */
  sure: string;
  sureSteps: string[];
  often: string;
  oftenSteps: string[];
  wants: string;
  worries: string;
  clear: string;
  clearEnds: [string, string];
  pace: string;
  paceSteps: string[];
  /** Which part is still unclear, and which helps most. */
  unclear: string;
  open: string;
  useful: string;
  usefulEnds: [string, string];
  helps: string;
  when: string;
  whenSteps: string[];
  does: string;
  missing: string;
}

const en: SurveyDraftWords = {
  titles: { before: 'Before you begin', between: 'How it goes so far', end: 'What you take along' },
  intros: {
    before: 'Two minutes on where you stand, so that the course can be measured by what it changes.',
    between: 'A minute on how it goes, while it can still be changed.',
    end: 'A few minutes on what the course is worth in your work, and what is to be mended in it.',
  },
  sure: 'How sure are you that you can do this today: {aim}?',
  sureSteps: ['Not at all', 'A little', 'Fairly', 'Completely'],
  often: 'How often do you meet this in your work?',
  oftenSteps: ['Never so far', 'A few times a year', 'Every month', 'Every week', 'Every day'],
  wants: 'What do you want to be able to do afterwards that is hard today?',
  worries: 'Which situation in it do you think of with worry?',
  clear: 'How clear was it so far?',
  clearEnds: ['unclear', 'clear'],
  pace: 'How is the pace?',
  paceSteps: ['Much too slow', 'Too slow', 'Right', 'Too fast', 'Much too fast'],
  unclear: 'Which part of it is the least clear to you?',
  open: 'Which question is still open for you?',
  useful: 'How much of it will you use in your work?',
  usefulEnds: ['nothing', 'nearly all'],
  helps: 'Which part of it helps you most?',
  when: 'When will you use something of it for the first time?',
  whenSteps: ['This week', 'This month', 'Later', 'I do not expect to'],
  does: 'What will you do differently from now on?',
  missing: 'What was missing, wrong or hard to follow?',
};

const de: SurveyDraftWords = {
  titles: { before: 'Bevor Sie beginnen', between: 'Wie es bisher läuft', end: 'Was Sie mitnehmen' },
  intros: {
    before: 'Zwei Minuten dazu, wo Sie stehen, damit sich zeigt, was der Kurs verändert.',
    between: 'Eine Minute dazu, wie es läuft, solange sich noch etwas ändern lässt.',
    end: 'Ein paar Minuten dazu, was der Kurs für Ihre Arbeit wert ist und was daran zu bessern ist.',
  },
  sure: 'Wie sicher sind Sie heute, dass Sie das können: {aim}?',
  sureSteps: ['Gar nicht', 'Ein wenig', 'Ziemlich', 'Ganz'],
  often: 'Wie oft begegnet Ihnen das bei der Arbeit?',
  oftenSteps: ['Bisher nie', 'Einige Male im Jahr', 'Jeden Monat', 'Jede Woche', 'Jeden Tag'],
  wants: 'Was möchten Sie danach können, das heute schwerfällt?',
  worries: 'An welche Situation daraus denken Sie mit Sorge?',
  clear: 'Wie verständlich war es bisher?',
  clearEnds: ['unverständlich', 'verständlich'],
  pace: 'Wie ist das Tempo?',
  paceSteps: ['Viel zu langsam', 'Zu langsam', 'Richtig', 'Zu schnell', 'Viel zu schnell'],
  unclear: 'Welcher Teil ist Ihnen am wenigsten klar?',
  open: 'Welche Frage ist für Sie noch offen?',
  useful: 'Wie viel davon werden Sie bei der Arbeit brauchen?',
  usefulEnds: ['nichts', 'fast alles'],
  helps: 'Welcher Teil hilft Ihnen am meisten?',
  when: 'Wann werden Sie zum ersten Mal etwas davon anwenden?',
  whenSteps: ['Diese Woche', 'Diesen Monat', 'Später', 'Voraussichtlich nie'],
  does: 'Was werden Sie von nun an anders machen?',
  missing: 'Was hat gefehlt, war falsch oder schwer zu verstehen?',
};

const fr: SurveyDraftWords = {
  titles: { before: 'Avant de commencer', between: 'Où vous en êtes', end: 'Ce que vous en retenez' },
  intros: {
    before: 'Deux minutes sur votre point de départ, pour mesurer ce que le cours change.',
    between: 'Une minute sur la manière dont cela se passe, tant qu’il est temps d’y changer quelque chose.',
    end: 'Quelques minutes sur ce que le cours vaut pour votre travail, et sur ce qu’il faut y corriger.',
  },
  sure: 'À quel point êtes-vous sûr aujourd’hui de savoir faire ceci : {aim} ?',
  sureSteps: ['Pas du tout', 'Un peu', 'Plutôt', 'Tout à fait'],
  often: 'À quelle fréquence rencontrez-vous cela dans votre travail ?',
  oftenSteps: ['Jamais encore', 'Quelques fois par an', 'Chaque mois', 'Chaque semaine', 'Chaque jour'],
  wants: 'Que voulez-vous savoir faire ensuite, qui est difficile aujourd’hui ?',
  worries: 'À quelle situation pensez-vous avec inquiétude ?',
  clear: 'Était-ce clair jusqu’ici ?',
  clearEnds: ['pas clair', 'clair'],
  pace: 'Comment est le rythme ?',
  paceSteps: ['Beaucoup trop lent', 'Trop lent', 'Juste', 'Trop rapide', 'Beaucoup trop rapide'],
  unclear: 'Quelle partie vous est la moins claire ?',
  open: 'Quelle question reste ouverte pour vous ?',
  useful: 'Quelle part vous servira dans votre travail ?',
  usefulEnds: ['rien', 'presque tout'],
  helps: 'Quelle partie vous aide le plus ?',
  when: 'Quand vous en servirez-vous pour la première fois ?',
  whenSteps: ['Cette semaine', 'Ce mois-ci', 'Plus tard', 'Sans doute jamais'],
  does: 'Que ferez-vous autrement désormais ?',
  missing: 'Qu’est-ce qui manquait, était faux ou difficile à suivre ?',
};

const es: SurveyDraftWords = {
  titles: { before: 'Antes de empezar', between: 'Cómo va hasta ahora', end: 'Lo que se lleva' },
  intros: {
    before: 'Dos minutos sobre su punto de partida, para medir lo que cambia el curso.',
    between: 'Un minuto sobre cómo va, mientras aún se puede cambiar.',
    end: 'Unos minutos sobre lo que vale el curso para su trabajo y lo que hay que mejorar en él.',
  },
  sure: '¿Qué seguridad tiene hoy de que puede hacer esto: {aim}?',
  sureSteps: ['Ninguna', 'Un poco', 'Bastante', 'Total'],
  often: '¿Con qué frecuencia se encuentra con esto en su trabajo?',
  oftenSteps: ['Nunca hasta ahora', 'Algunas veces al año', 'Cada mes', 'Cada semana', 'Cada día'],
  wants: '¿Qué quiere saber hacer después que hoy le cuesta?',
  worries: '¿En qué situación piensa con preocupación?',
  clear: '¿Ha sido claro hasta ahora?',
  clearEnds: ['poco claro', 'claro'],
  pace: '¿Cómo es el ritmo?',
  paceSteps: ['Demasiado lento', 'Lento', 'Adecuado', 'Rápido', 'Demasiado rápido'],
  unclear: '¿Qué parte le resulta menos clara?',
  open: '¿Qué pregunta le queda abierta?',
  useful: '¿Cuánto de ello usará en su trabajo?',
  usefulEnds: ['nada', 'casi todo'],
  helps: '¿Qué parte le ayuda más?',
  when: '¿Cuándo usará algo de ello por primera vez?',
  whenSteps: ['Esta semana', 'Este mes', 'Más adelante', 'No creo que lo use'],
  does: '¿Qué hará de otra manera a partir de ahora?',
  missing: '¿Qué faltaba, estaba mal o era difícil de seguir?',
};

const ALL: Record<string, SurveyDraftWords> = { en, de, fr, es };

/** The words of a course's language; English where there are none. */
export const surveyWordsFor = (language: string): SurveyDraftWords => {
  const [code] = language.split('-');
  return Object.hasOwn(ALL, code) ? ALL[code] : en;
};
