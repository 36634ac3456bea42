import type { Mend, Note, NoteRule } from './note';

/** What stands above, as it is called. */
const ABOVE: Record<string, string> = { promise: 'promise', who: 'audience', purpose: 'module’s purpose' };

/** How notes are worded, the same on screen and wherever else they are read. */
const SAID: Record<NoteRule, (parameters: Note['parameters']) => string> = {
  'no-objective': () => 'It does not say what the learner can do afterwards.',
  'idle-objective': ({ text }) => `No lesson leads to “${text}”.`,
  empty: ({ what }) =>
    what === 'module'
      ? 'There is no lesson in it.'
      : 'There is nothing in it: no passage, no text, no question to you.',
  'too-long': ({ minutes, middle }) => `${minutes} minutes, where the others take about ${middle}.`,
  'same-ground': ({ other, passages }) =>
    Number(passages) > 0
      ? `It teaches the same ${Number(passages) === 1 ? 'passage' : `${passages} passages`} as “${other}”.`
      : `It is called nearly like “${other}”.`,
  'term-later': ({ term, other }) => `It says “${term}”, which is explained later, in “${other}”.`,
  'outcome-unserved': ({ outcome }) => `Nothing in the outline is about “${outcome}”, which would count as success.`,
  'promise-unserved': ({ promise }) => `The outline says nothing of what the brief promises: “${promise}”`,
  'description-unserved': ({ sentence }) => `The description says what the outline does not: “${sentence}”`,
  'left-out': ({ parts }) =>
    `${parts} ${Number(parts) === 1 ? 'part' : 'parts'} of the sources’ matter ${Number(parts) === 1 ? 'is' : 'are'} in no lesson.`,
  'fits-no-longer': ({ above, word, to }) =>
    `It speaks of “${word}”; the ${ABOVE[above]} does not any more.${to ? ` It could say: “${to}”` : ''}`,
  'above-unserved': ({ above, words }) => `The ${ABOVE[above]} says “${words}” now; nothing below does.`,
  'asked-open': ({ asked }) => `Nothing in it answers “${asked}”, which people ask.`,
  'slot-open': ({ asks }) => `A place on its page is still open: “${asks}”`,
  'form-empty': ({ title }) => `The feedback form “${title}” asks nothing yet; learners do not get it.`,
  'picture-silent': ({ count }) =>
    Number(count) === 1
      ? 'A picture on its page does not say what it shows, for who cannot see it.'
      : `${count} pictures on its page do not say what they show, for who cannot see them.`,
  'clip-silent': ({ count }) =>
    Number(count) === 1
      ? 'What is said in a recording on its page cannot be read: it has no captions.'
      : `What is said in ${count} recordings on its page cannot be read: they have no captions.`,
  'action-open': ({ action }) => `No lesson in it leads to “${action}”.`,
  'quiz-short': ({ asks, wants }) =>
    asks === 0 ? 'It asks nothing yet.' : `A try should ask ${wants}, and there are only ${asks} to draw from.`,
  'quiz-weights': ({ percent }) => `Quizzes together weigh ${percent} % of the mark: more than there is.`,
};

/** A note as a sentence. */
export const noteSentence = ({ rule, parameters }: Note): string => SAID[rule](parameters);

/** What a mend does, as the words of a button. */
export function mendWords(mend: Mend): string {
  switch (mend.kind) {
    case 'word':
      return 'Word it';
    case 'split':
      return 'Split it';
    case 'merge':
      return 'Join the two';
    case 'move':
      return 'Explain it before';
    case 'remove':
      return 'Take it out';
    case 'lesson':
      return 'Add a lesson';
    case 'reword':
      return 'Reword it';
    case 'open':
      return mend.room === 'holds' ? 'Look through' : 'To the brief';
  }
}
