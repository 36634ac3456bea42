import type { QuestionWording, Strength, TaggedWord } from '../pack';
import { anyOf } from '../phrases';
import { about } from './about';
import { englishDecisions } from './decisions';
import type { WordList } from './lexicon';

const READER: Record<Strength, string> = {
  must: 'what must you do',
  should: 'what should you do',
  may: 'what may you do',
};
const FORBIDDEN: Record<Strength, string> = {
  must: 'what must you not do',
  should: 'what should you not do',
  may: 'what need you not do',
};

const BY = anyOf`at | in | on | from | with | by | to | into | under | over | before | after | for | as | towards`;
/** "Gather at the anchor, not at the kiosk": both hang on the same word. */
const THIS_NOT_THAT = new RegExp(
  String.raw`^(?<head>[^,:;]*\s)(?<by>${BY})\s+(?<is>[^,:;]{3,60}),\s+(?:and )?not\s+\k<by>\s+(?<not>[^,:;.]{3,60})(?=[.,:;]|$)`,
  'i',
);

/** A word of obligation, and the one that says the contrary. */
const TURNED: [RegExp, string][] = [
  [/^(?:must|may|shall) not$|^cannot$/i, 'may'],
  [/^(?:must|shall)$/i, 'need not'],
  [/^may$/i, 'must not'],
];

/** Questions in English; `words` tells a name's capital from a sentence's. */
export function englishQuestions(words: WordList, tags: (text: string) => TaggedWord[]): QuestionWording {
  return {
    afterCondition(condition, subject, strength, negative, order) {
      const bare = condition.replace(/[,\s]+$/, '');
      const reader = subject === undefined || /^you$/i.test(subject);
      // An order without a word of obligation is asked for without one.
      const asked = order
        ? negative
          ? FORBIDDEN.must
          : 'what do you do'
        : reader
          ? (negative ? FORBIDDEN : READER)[strength]
          : `what ${strength} ${inSentence(subject, words)} ${negative ? 'not ' : ''}do`;
      return `${bare.charAt(0).toUpperCase()}${bare.slice(1)}, ${asked}?`;
    },
    whichTerm: (meaning, plural) => `Which ${plural ? 'words stand' : 'term stands'} for this: “${meaning}”?`,
    whichFigure: (sentence) => `Which figure belongs in the gap? “${sentence}”`,
    inCase: (head) => `${head}: what holds?`,
    belongsTo: (name, lesson) => `${about(lesson)} which of these belongs to “${name}”?`,
    whoDoes(action) {
      const bare = action.replace(/[\s.;]+$/, '');
      // "Who" asks in the singular: what several do is not asked so.
      return /^(?!is\s|has\s|was\s)(?:[a-z]+s|must|may|should|can)\s/.test(bare) && !/^[a-z]*ss\s/.test(bare)
        ? `Who ${bare}?`
        : undefined;
    },
    inColumn: (column, row, lesson) => `${about(lesson, `, “${column}”`)} which of these is right for “${row}”?`,
    afterStep: (step) => `“${step}.” What comes next?`,
    practice: {
      stem: (lesson, inCase) =>
        `${about(lesson)} ${inCase ? 'write down what you do now' : 'write down how you do it'}, one thing after another.`,
      levels: ['It is there', 'It is there in part', 'It is missing'],
    },
    decision: englishDecisions(words, tags),
    inOrder: (lesson) => `${about(lesson)} put these steps in order.`,
    together: (lesson, columns) =>
      columns
        ? `${about(lesson)} which “${columns[1]}” belongs to which “${columns[0]}”?`
        : `${about(lesson)} what belongs together?`,
    meanings: (lesson) => `${about(lesson)} what does each of these mean?`,
    forEach: (lesson, column) => `${about(lesson)} what is “${column}” for each of these?`,
    doOrNot: (lesson) => `${about(lesson)} what do you do, and what must you not do?`,
    notToDo: (lesson) => `${about(lesson)} which of these must you not do?`,
    answerTo: (heading) =>
      /[?!]$/.test(heading) ? heading : `${heading.replace(/[\s.:;]+$/, '')}. What is behind it, or what helps?`,
    saidOf: (said) => `Which of these is this about: “${said}”?`,
    instead(sentence, lesson, order, exchanged) {
      const { head, by, is, not } = THIS_NOT_THAT.exec(sentence)?.groups ?? {};
      if (head === undefined) return undefined;
      const said = `${head}${by} ${exchanged ? not : is}.`;
      return `${about(lesson)} ${order ? `you ${said.charAt(0).toLowerCase()}${said.slice(1)}` : said}`;
    },
    within(condition, question) {
      const bare = condition.replace(/[,\s]+$/, '');
      const known = /^(?:Which (?:figure|of these)|You)\b/.test(question);
      return `${bare.charAt(0).toUpperCase()}${bare.slice(1)}${known ? `, ${question.charAt(0).toLowerCase()}${question.slice(1)}` : `: ${question}`}`;
    },
    turned(sentence, modal) {
      const [, to] = TURNED.find(([from]) => from.test(modal)) ?? [];
      const turned = to && sentence.replace(new RegExp(String.raw`\b${modal}\b`, 'i'), to);
      return turned === sentence ? undefined : turned;
    },
    allowed: (action, may) => `You ${may ? 'may' : 'must not'} ${action.charAt(0).toLowerCase()}${action.slice(1)}.`,
  };
}

/** A subject that began its sentence, inside one: the capital goes unless it is a name's. */
function inSentence(subject: string, words: WordList): string {
  const [first, next = ''] = subject.split(' ');
  const name = /^\p{Lu}/u.test(next) || words.commonness(first.toLowerCase()) === undefined;
  return /^\p{Lu}\p{Ll}*$/u.test(first) && (!name || /^(?:An?|The|Any|All|Each|Every|No)$/.test(first))
    ? subject.charAt(0).toLowerCase() + subject.slice(1)
    : subject;
}

const DO_YOU = /\b(when|how|where|what|whom|why) do you (?=\p{Ll}{2,})/giu;

/**
 * "When do you plant, and when do you refuse?" -> "When to plant, and when to refuse"; undefined for a question that
 * asks nothing to do.
 */
export function askedOfLearner(heading: string): string | undefined {
  const asked = heading.trim();
  // "Which story do you tell every new person?"
  const thing =
    /^(?:which|what) (\p{Ll}+(?: \p{Ll}+)?) do you ((?:tell|use|take|bring|show|check|give|keep|carry|wear)\b.*)\?$/iu.exec(
      asked,
    );
  if (!thing && !/^(?:when|how|where|what|whom) do you\b.*\?$/i.test(asked)) return undefined;
  const turned = thing ? `The ${thing[1]} to ${thing[2]}` : asked.replace(DO_YOU, '$1 to ').replace(/\?$/, '');
  // What somebody thinks, likes or remembers is theirs.
  return /\b(?:you|your|yours|me|my)\b|^\w+ to (?:think|like|feel|remember|know|mean|want|wish|expect|believe|regret|love|hate|call it)\b/i.test(
    turned,
  )
    ? undefined
    : turned;
}
