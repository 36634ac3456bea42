import { wordsFor } from '../words';
import type { AskedFor } from '../reading/answers';

/**
 * What an author is asked about what they know: at length, in any order. The words of the questions are the desk's;
 * topics head the answers in the course's language.
 */

/** A question of the interview. `topic` is the part of the answers it belongs to. */
export interface InterviewQuestion {
  key: string;
  topic: TopicKey;
  question: string;
  /** What helps to answer it. */
  hint: string;
  /** Heads its answer in a lesson; absent where the topic does. */
  over?: Record<Language, string>;
  /** What its answer is, whatever its words: each paragraph of it, or its lines in their order. */
  reads?: AskedFor['reads'];
}

type Language = 'en' | 'de' | 'fr' | 'es';

export type TopicKey = keyof typeof TOPICS;

/** Headings over answers, short enough to become a lesson's title. */
const TOPICS = {
  wrong: {
    en: 'What goes wrong, and what it costs',
    de: 'Was schiefgeht und was es kostet',
    fr: 'Ce qui va mal et ce que cela coûte',
    es: 'Qué sale mal y qué cuesta',
  },
  unsaid: {
    en: 'What is seldom said aloud',
    de: 'Was selten ausgesprochen wird',
    fr: 'Ce que l’on dit rarement',
    es: 'Lo que rara vez se dice',
  },
  result: {
    en: 'What good work looks like',
    de: 'Woran man gute Arbeit erkennt',
    fr: 'À quoi ressemble un bon travail',
    es: 'Cómo es un buen trabajo',
  },
  stages: {
    en: 'The stages of the work',
    de: 'Die Schritte der Arbeit',
    fr: 'Les étapes du travail',
    es: 'Las etapas del trabajo',
  },
  beginners: {
    en: 'What beginners get wrong',
    de: 'Was Anfänger falsch machen',
    fr: 'Les erreurs de débutant',
    es: 'Los errores de los principiantes',
  },
  stories: {
    en: 'Stories from work',
    de: 'Geschichten aus der Arbeit',
    fr: 'Histoires vécues',
    es: 'Historias del trabajo',
  },
  thumb: { en: 'Rules of thumb', de: 'Faustregeln', fr: 'Règles pratiques', es: 'Reglas prácticas' },
  asked: { en: 'What people ask', de: 'Was gefragt wird', fr: 'Les questions fréquentes', es: 'Lo que se pregunta' },
} as const;

export const INTERVIEW: readonly InterviewQuestion[] = [
  {
    key: 'wrong-what',
    topic: 'wrong',
    question: 'What goes wrong at work today, in the matter of this course?',
    hint: 'Name cases: who did what, and how it came out.',
    over: { en: 'What goes wrong', de: 'Was schiefgeht', fr: 'Ce qui va mal', es: 'Qué sale mal' },
  },
  {
    key: 'wrong-cost',
    topic: 'wrong',
    question: 'What does it cost when it goes wrong: time, money, trust, health?',
    hint: 'Figures where you know them, guesses marked as such.',
    over: { en: 'What it costs', de: 'Was es kostet', fr: 'Ce que cela coûte', es: 'Lo que cuesta' },
  },
  {
    key: 'unsaid-avoid',
    topic: 'unsaid',
    question: 'What does everybody know about this and nobody says aloud?',
    hint: 'Shortcuts, fears, quarrels between teams, rules that are never kept.',
  },
  {
    key: 'result-seen',
    topic: 'result',
    question: 'Somebody has learned this well. What do you see them do on an ordinary day?',
    hint: 'What they do, say and leave alone; not what they know.',
    over: {
      en: 'What somebody does who has learned this well',
      de: 'Was jemand tut, der es gut kann',
      fr: 'Ce que fait une personne qui maîtrise le travail',
      es: 'Qué hace quien lo domina',
    },
  },
  {
    key: 'result-other',
    topic: 'result',
    question: 'How do you tell good work from work that is just good enough?',
    hint: 'Signs that can be seen, heard or counted.',
    over: {
      en: 'How good work differs from work that is just good enough',
      de: 'Was gute von gerade ausreichender Arbeit unterscheidet',
      fr: 'Ce qui distingue un bon travail d’un travail tout juste suffisant',
      es: 'Qué distingue el buen trabajo del que apenas basta',
    },
  },
  {
    key: 'stages-path',
    topic: 'stages',
    question: 'Through which stages does somebody go until they can do it? What comes first, what later?',
    hint: 'One stage a paragraph: what is done in it, and when it is over.',
    over: { en: 'How somebody learns it', de: 'Wie man es lernt', fr: 'Comment on l’apprend', es: 'Cómo se aprende' },
  },
  {
    key: 'stages-steps',
    topic: 'stages',
    question: 'Tell the work itself from the first move to the last.',
    hint: 'As to somebody who stands beside you. A numbered list is good.',
    over: {
      en: 'The work from first to last',
      de: 'Die Arbeit vom ersten bis zum letzten Handgriff',
      fr: 'Le travail du début à la fin',
      es: 'El trabajo de principio a fin',
    },
    reads: 'steps',
  },
  {
    key: 'beginners-wrong',
    topic: 'beginners',
    question: 'What do beginners get wrong, and why do they think it is right?',
    hint: 'The mistake, the reason, and what you tell them.',
  },
  {
    key: 'stories-best',
    topic: 'stories',
    question: 'Which story do you tell when you want somebody to remember this?',
    hint: 'As you tell it, with place and people; change names.',
    over: {
      en: 'A story to remember',
      de: 'Eine Geschichte, die im Kopf bleibt',
      fr: 'Une histoire à retenir',
      es: 'Una historia para recordar',
    },
    reads: 'experience',
  },
  {
    key: 'stories-close',
    topic: 'stories',
    question: 'When did it nearly go wrong? What saved it?',
    hint: 'One case is enough.',
    over: {
      en: 'When it nearly went wrong',
      de: 'Als es beinahe schiefging',
      fr: 'Quand cela a failli mal tourner',
      es: 'Cuando casi salió mal',
    },
    reads: 'experience',
  },
  {
    key: 'thumb-rules',
    topic: 'thumb',
    question: 'Which rules of thumb do you work by?',
    hint: 'If this, then that. One a line.',
    over: { en: 'What to go by', de: 'Woran man sich hält', fr: 'À quoi se fier', es: 'En qué guiarse' },
    reads: 'tip',
  },
  {
    key: 'thumb-never',
    topic: 'thumb',
    question: 'What must never be done, whatever the hurry?',
    hint: 'And what happens when it is.',
    over: {
      en: 'What must never be done',
      de: 'Was man nie tun darf',
      fr: 'Ce qu’il ne faut jamais faire',
      es: 'Lo que nunca se debe hacer',
    },
    reads: 'warning',
  },
  {
    key: 'asked-most',
    topic: 'asked',
    question: 'What do people ask you again and again, and what do you answer?',
    hint: 'Question and answer, as many as come to mind.',
  },
];

const inLanguage = (words: Record<Language, string>, language: string): string =>
  (words as Record<string, string>)[language.split('-')[0]] ?? words.en;

/** What the answers together are called as a source. */
export const experienceTitle = (language: string): string => wordsFor(language).words.callout.experience;

/** The heading over a topic's answers in a language; in English where there is none. */
export const topicTitle = (key: TopicKey, language: string): string => inLanguage(TOPICS[key], language);

/** What stands over a question's answer in a language; undefined where its topic does. */
export const overAnswer = ({ over }: InterviewQuestion, language: string): string | undefined =>
  over && inLanguage(over, language);
