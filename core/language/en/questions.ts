import type { QuestionWording, Strength } from '../pack';

const READER: Record<Strength, string> = { must: 'what must you do', should: 'what should you do', may: 'what may you do' };
const FORBIDDEN: Record<Strength, string> = { must: 'what must you not do', should: 'what should you not do', may: 'what need you not do' };

/** Questions in English. */
export const englishQuestions: QuestionWording = {
  afterCondition(condition, subject, strength, negative, order) {
    const bare = condition.replace(/[,\s]+$/, '');
    const reader = subject === undefined || /^you$/i.test(subject);
    // An order without a word of obligation is asked for without one.
    const asked = order
      ? negative ? 'what do you not do' : 'what do you do'
      : reader
      ? (negative ? FORBIDDEN : READER)[strength]
      : `what ${strength} ${withArticle(subject)} ${negative ? 'not ' : ''}do`;
    return `${bare.charAt(0).toUpperCase()}${bare.slice(1)}, ${asked}?`;
  },
  whichTerm: (meaning, plural) => `Which ${plural ? 'words stand' : 'term stands'} for this: “${meaning}”?`,
  whichFigure: (sentence) => `Which figure belongs in the gap? “${sentence}”`,
};

function withArticle(subject: string): string {
  return /^(?:An?|The|Any|All|Each|Every|No|New|Every)\b/.test(subject) ? subject.charAt(0).toLowerCase() + subject.slice(1) : /^\p{Lu}\p{Ll}+s?$/u.test(subject) ? subject.charAt(0).toLowerCase() + subject.slice(1) : subject;
}
