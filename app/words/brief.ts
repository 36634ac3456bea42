import type { BriefOffers, Verdict } from '~~/core/brief/verdict';
import { counted } from './states';

/** What a brief says back, as sentences. */
const SAID: Record<Verdict['code'], (parameters: Verdict['parameters']) => string> = {
  'promise-open': ({ terms }) =>
    `Say in a line what they do at work afterwards that they do not do now.${terms ? ` Your sources are most about ${terms}.` : ''}`,
  'promise-vague': ({ word }) => `Nobody can see somebody “${word}”. What do they do then?`,
  'promise-long': () =>
    'These are several promises. One is easier to keep; the others can stand below, as what counts as success.',
  'promise-apart': ({ terms }) =>
    `The sources have hardly a word of this.${terms ? ` They are most about ${terms}.` : ''}`,
  'who-open': ({ actors }) => `For whom?${actors ? ' These act in your sources:' : ''}`,
  'who-all': () => 'A course for everybody suits nobody well. Who needs it most?',
  'time-open': ({ full }) => `All that your sources hold takes about ${full} minutes.`,
  'time-short': ({ share, full }) =>
    `That is ${share} % of the ${full} minutes your sources hold. Whole topics will be left out, those furthest from the promise first; each is named.`,
  'time-fits': ({ full }) => `Your sources hold about ${full} minutes: it fits.`,
  'time-long': ({ full, gap }) =>
    `Your sources fill about ${full} minutes. ${gap} more would have to come from cases, practice, or another source.`,
  'outcomes-open': ({ offered }) =>
    `By what would you notice at work that it helped?${offered ? ' What your sources teach most of is offered below.' : ''}`,
  'outcome-vague': ({ outcome, word }) => `“${outcome}”: nobody can see somebody “${word}”.`,
  'outcome-apart': ({ outcome }) => `The sources have hardly a word of “${outcome}”: no lesson will be drafted for it.`,
};

/** A verdict as a sentence. */
export const verdictWords = ({ code, parameters }: Verdict): string => SAID[code](parameters);

/** What a draft would have, in words; none where it would have nothing. */
export function makesWords(makes: BriefOffers['makes']): string {
  if (!makes || makes.lessons === 0) return '';
  const each = Math.round(makes.words / makes.lessons / 10) * 10;
  const [modules, lessons] = [
    counted(makes.modules, ['module', 'modules']),
    counted(makes.lessons, ['lesson', 'lessons']),
  ];
  const [checks, minutes] = [counted(makes.checks, ['check', 'checks']), counted(makes.minutes, ['minute', 'minutes'])];
  return `A draft has ${modules} and ${lessons} of about ${each} words, some ${checks}, ${minutes}.`;
}
