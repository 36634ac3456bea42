/**
 * Everything that depends on a language stands behind these types; the rest of the core asks, and never knows words
 * itself.
 */

import type { Level } from '../checks/check';
import type { Change, ChangeKind } from './change';
import type { NoiseDetector } from './noise';

/** Characters `from` to `to` of a text. */
export interface Range {
  from: number;
  to: number;
}

/** What a sentence does with an action. */
export type Stance = 'asks' | 'allows' | 'forbids' | 'frees';

export type Strength = 'must' | 'should' | 'may';

/** A number with its unit, as a sentence says it. */
export interface Quantity extends Range {
  value: number;
  /** The unit in one form for all its spellings ("day", "workday", "GBP", "percent"). */
  unit: string;
  /** Units of one dimension can stand in for each other in a wrong answer. */
  dimension: string;
  /** The number alone. */
  number: Range;
  /** Written as a word ("ten"). */
  worded: boolean;
}

/** A stretch of figures, in the unit of one of its ends; without an upper end it goes on. */
export interface Band {
  from: number;
  to?: number;
  /** The quantity at one end, with its words. */
  like: Quantity & { text: string };
}

/** Who must, should or may do what, and when. All ranges are of the sentence. */
export interface RuleFacts {
  strength: Strength;
  negative: boolean;
  /** Absent when the sentence tells the reader ("Check every delivery"). */
  subject?: Range;
  /** The reader, a person or a group: somebody who can act. */
  person: boolean;
  /** The words of obligation; absent in the imperative. */
  modal?: Range;
  /** What to do, from the verb to the end of its clause. */
  action: Range;
  condition?: Range & { word: string; leading: boolean };
  /** Where it does not hold ("unless …", "except …"). */
  exception?: Range;
}

export interface DefinitionFacts {
  term: Range;
  /** What the term is said to be, without "is". */
  meaning: Range;
  plural: boolean;
  /** Says of which kind the thing is and what tells it from others, rather than what is thought of it. */
  proper: boolean;
}

/** What a sentence begins with that tells when, where or for what it holds. */
export interface Opener {
  lead: Range;
  rest: Range;
  /** What kind of beginning it is, by which sentences are alike: its preposition, the unit of a band, "means". */
  sort: string;
  by: 'phrase' | 'band' | 'name';
  tells: 'time' | 'case' | 'name';
}

/** Why a sentence cannot stand without another. */
export type Leaning =
  /** It begins with a word that points back ("This", "They"). */
  | 'points-back'
  /** It begins by joining on ("However", "For example"). */
  | 'joins-on'
  /** It sends the reader elsewhere ("see section 3", "as shown below"). */
  | 'points-elsewhere'
  /** It speaks of the document it stands in ("this manual"). */
  | 'about-document'
  | 'too-short'
  | 'too-long'
  | 'not-a-sentence';

export interface SentenceFacts {
  words: number;
  leaning?: Leaning;
  /** Has a word like "this" or "it" further on whose meaning may lie outside. */
  pointsWithin: boolean;
  rule?: RuleFacts;
  definition?: DefinitionFacts;
  quantities: Quantity[];
  /** A figure that limits something ("at least", "within"). */
  limits: boolean;
  warning: boolean;
  reason: boolean;
  example: boolean;
  tip: boolean;
  comparison: boolean;
  /** Says who answers for what. */
  role: boolean;
  /** Begins with a verb that tells the reader to act. */
  imperative: boolean;
  /** Who says it speaks of themselves ("I check …"), other than in a quotation. */
  firstPerson: boolean;
  /** Only says what happened, and nothing of what holds now. */
  past?: boolean;
}

export interface TaggedWord extends Range {
  text: string;
  /** Universal part-of-speech tag: NOUN, PROPN, VERB, ADJ ... */
  tag: string;
}

/** What a language needs to be worked with. */
export interface LanguagePack {
  code: string;
  /**
   * Its sentences can be taken apart, worded anew and asked about; otherwise lessons are drafted by whole paragraphs.
   * `facts` may be there all the same.
   */
  understands: boolean;
  sentences(text: string): Range[];
  /** Content words brought to their stems, in order; stop words left out. */
  stems(text: string): string[];
  /** All words with their stems, for finding them again. */
  stemmedWords(text: string): (Range & { stem: string })[];
  /** How common a word is, on the Zipf scale (1 rare to 7 very common); undefined when unknown. */
  commonness(word: string): number | undefined;
  /** Parts of speech; only where the language is understood. */
  tags?(text: string): TaggedWord[];
  facts?(sentence: string, tags: readonly TaggedWord[]): SentenceFacts;
  /**
   * Lead-ins of lists that tell steps, and of those that tell duties; whether an item begins small behind the latter.
   */
  leadIns?: { steps: RegExp; duties: RegExp; lowersItems: boolean };
  /**
   * Whether a sentence that is no rule allows, forbids or frees of something ("Smoking is not allowed", "need not").
   */
  stance?(sentence: string): Stance | undefined;
  /** Whether a subject is the reader or anybody ("you", "everyone"). */
  isReader?(subject: string): boolean;
  /** A text with its irregular forms made regular and its counts made numbers, for comparing. */
  regular?(text: string): string;
  /** Words that only bound a figure ("at least", "within"). */
  bounds?: RegExp;
  /** Every number of a sentence, in digits or words. */
  numbers?(sentence: string): (Range & { value: number })[];
  /** Stretches of a sentence that only send the reader elsewhere and can go. */
  references?(sentence: string): Range[];
  /** Whether a sentence sends the reader to one of the sections with these titles ("see Handling bugs for details"). */
  sendsTo?(sentence: string, titles: readonly string[]): boolean;
  /** What a sentence can be that teaches nothing. */
  noise?: readonly NoiseDetector[];
  /** Whether a sentence says that what was told right before it does not matter. */
  dismisses?(sentence: string): boolean;
  /** Stretches of spoken words that only filled the time ("um", "you know", a start made twice). */
  hesitations?(text: string): Range[];
  /** Whether a sentence says where what stands before it does not hold ("The exception is …"). */
  opensException?(sentence: string): boolean;
  /** Whether a sentence begins with something taken as known ("The buddy must …"): behind a gap nobody knows which. */
  namesKnown?(sentence: string): boolean;
  /** Whether the words beside a term in a list of terms say what it means; `tags` are theirs. */
  tellsMeaning?(term: string, meaning: string, tags: readonly TaggedWord[]): boolean;
  /** Whether a clause says how much without what it is held against ("it is older"). */
  comparesWithNothing?(clause: string): boolean;
  /** The case a sentence begins with, and what holds then ("If X, Y"). */
  caseOf?(sentence: string, tags: readonly TaggedWord[]): { when: Range; then: Range } | undefined;
  /** Who a sentence begins with as the one who does something, and what stands behind that. */
  actorOf?(sentence: string, tags: readonly TaggedWord[]): { who: Range; rest: Range; sure: boolean } | undefined;
  /**
   * What a sentence among definitions is worded to define, by its form alone ("The lead is the person on call");
   * `marked`: what its author sets apart in it.
   */
  definesAlike?(sentence: string, tags: readonly TaggedWord[], marked?: Range): DefinitionFacts | undefined;
  /** The beginning of a sentence that tells its case, its time or a name without being a clause. */
  openerOf?(sentence: string, tags: readonly TaggedWord[], quantities: readonly Quantity[]): Opener | undefined;
  /** A stretch of figures that is all a text says ("£51 to £250"). */
  bandOf?(text: string): Band | undefined;
  /** The words of a step as a stage that is read at a glance; undefined where it says nothing without its rest. */
  stageOf?(step: string): string | undefined;
  /** Who tells, asks or hands something to whom; without `who`, the reader is told to. */
  passingIn?(sentence: string, tags: readonly TaggedWord[]): { who?: string; to: string; what: string } | undefined;
  /** Whether two heads tell how it was and how it is, in this order. */
  isChange?(before: string, after: string): boolean;
  /** Another figure, written like a quantity is. */
  written?(like: { text: string; worded: boolean }, value: number): string;
  /** Changes of a sentence's words that leave what it says as it is, by their kind. */
  rewriting?: Record<ChangeKind, (sentence: string, facts: SentenceFacts) => Change[]>;
  /** Whether a sentence says that something does not hold. */
  denies?(sentence: string): boolean;
  /** Whether a clause is about somebody: one of its first words names a person other than the reader. */
  aboutPerson?(clause: string): boolean;
  /** Whether a sentence begins with a word for persons named before ("They"). */
  pointsAtPersons?(sentence: string): boolean;
  /** Whether a sentence begins with a word for what the heading over it names ("This field …", "It …"). */
  pointsAtHeading?(sentence: string): boolean;
  /** The topic that a speaker's sentence announces ("The third thing is returns."). */
  signpost?(sentence: string): string | undefined;
  /** Whether somebody who speaks says what is to be done, though no rule is worded as one ("You let it bleed."). */
  saysWhatToDo?(sentence: string): boolean;
  /** Whether a spoken sentence turns to something else, rather than going on with what was said. */
  turns?(sentence: string): boolean;
  /** Whether a heading is put to somebody who tells ("Tell me …", "What do you do?"), and not to a learner. */
  asksTeller?(heading: string): boolean;
  /**
   * What the one who tells was asked, as it concerns who learns ("How do you wake somebody?" -> "How to wake
   * somebody"); undefined where it cannot be turned.
   */
  askedOfLearner?(heading: string): string | undefined;
  /** The topic that a speaker names like a heading ("Now, knives."). */
  spokenHeading?(sentence: string): string | undefined;
  /** Grade of school years a text asks for; undefined where no published formula is at hand. */
  grade?(text: string): number;
  /** Words for objectives; only where the language is understood. */
  objectives?: ObjectiveWording;
  /** Words for questions; only where the language is understood. */
  questions?: QuestionWording;
  labels: Labels;
}

/** Words of an objective: the whole sentence, and the object of its verb. */
export interface ObjectiveWords {
  verb: 'carry-out' | 'apply' | 'decide' | 'explain' | 'choose' | 'state';
  level: Level;
  object: string;
  condition?: string;
  text: string;
}

/** Each gives undefined when no good sentence can be made. */
export interface ObjectiveWording {
  fromStepsLeadIn(leadIn: string): ObjectiveWords | undefined;
  fromTitle(title: string, kind: 'steps' | 'rules' | 'definitions' | 'figures' | 'other'): ObjectiveWords | undefined;
  fromCondition(condition: string): ObjectiveWords | undefined;
  fromTerm(term: string, plural: boolean): ObjectiveWords | undefined;
  /** Several terms, to be told apart. */
  fromTerms(terms: readonly string[]): ObjectiveWords | undefined;
  /** What a table with this header is used for. */
  fromTable(header: readonly string[]): ObjectiveWords | undefined;
  /** One line on what a module is for, out of the objectives of its lessons. */
  purpose(objectives: readonly string[]): string;
  /** What the reader is told to do, under a condition or none. */
  fromRule(action: string, condition: string | undefined): ObjectiveWords | undefined;
}

export interface QuestionWording {
  /** The question after a condition: who does what, by the strength of the rule; `order`: the rule is an imperative. */
  afterCondition(
    condition: string,
    subject: string | undefined,
    strength: Strength,
    negative: boolean,
    order: boolean,
  ): string | undefined;
  /** Which term has this meaning. */
  whichTerm(meaning: string, plural: boolean): string;
  /** Which figure belongs into the gap of a sentence. */
  whichFigure(sentenceWithGap: string): string;
  /** What holds in a case, at a time, in a band, as it begins its sentence; what belongs to a name of a lesson. */
  inCase?(head: string): string;
  belongsTo?(name: string, lesson: string): string;
  /** Who does something, as it stands behind a name; undefined where it cannot be asked so. */
  whoDoes?(action: string): string | undefined;
  /** What a column of a table has for a row, in the matter of a lesson. */
  inColumn?(column: string, row: string, lesson: string): string;
  /** What comes after a step; in which order steps are done. */
  afterStep?(step: string): string;
  inOrder?(lesson: string): string;
  /** What is to be done and handed in, with a situation or without one; how well something of it can be done. */
  practice?: { stem(lesson: string, inCase: boolean): string; levels: readonly string[] };
  /** One decision after another. */
  decision?: DecisionWording;
  /** What belongs together: by the heads of two columns, where they have some; words and their meanings. */
  together?(lesson: string, columns?: readonly [string, string]): string;
  meanings?(lesson: string): string;
  /** What a column has for each of several things. */
  forEach?(lesson: string, column: string): string;
  /** What is done and what is not. */
  doOrNot?(lesson: string): string;
  /** Which of some actions must not be done, in the matter of a lesson. */
  notToDo?(lesson: string): string;
  /**
   * "This, not that" as a statement of this, or of that where they are `exchanged`, in the matter of a lesson; `order`:
   * it is put to the reader.
   */
  instead?(sentence: string, lesson: string, order: boolean, exchanged: boolean): string | undefined;
  /** A question asked within a case. */
  within?(condition: string, question: string): string;
  /** What is answered to a question, or helps with a trouble, as its heading has it. */
  answerTo?(heading: string): string;
  /** Of which of several names something is said. */
  saidOf?(said: string): string;
  /** A rule with the contrary of its word of obligation; undefined where it has none. */
  turned?(sentence: string, modal: string): string | undefined;
  /** A statement that something may be done, or must not. */
  allowed?(action: string, may: boolean): string;
}

/** Words of a drafted story: cases that come one after another. */
export interface DecisionWording {
  /** What it is called, after its lesson or what happens in it; and who the learner is in it, as a brief says it. */
  stem(of: string): string;
  role(who: string): string;
  /** A condition told as what is so now, its limits as figures within them; undefined where it is no whole clause. */
  fact(condition: string): string | undefined;
  /** Whether a condition is understood only behind another ("it happens again"). */
  goesOn(condition: string): boolean;
  /** Whether words tell a reader what to do. */
  isOrder(action: string): boolean;
  /** What a sentence forbids beside what it orders ("…; do not run after it"), as a deed. */
  forbidden(sentence: string): string | undefined;
  /** A moment: what is so, and what is asked; `again`: it is not the first, and nothing that follows from the last. */
  scene(fact: string, again: boolean): string;
  /** The same of a row of a table: `head` and what it is in this row, and the column that is asked for. */
  row(head: string, value: string, column: string, again: boolean): string;
  /** What is done first in a case; what after something that was done; what is said to who is too early. */
  first(fact: string): string;
  then(done: string): string;
  later: string;
  /** Whether a column of this header says what is done, or who does it, rather than what something is. */
  decides(header: string): boolean;
  /** What is said to what holds, to what holds in another case, and to what must never be done, by their sentences. */
  holds(sentence: string): string;
  elsewhere(sentence: string): string;
  never(sentence: string): string;
}

/** Words that the engine puts on a learner's page by itself. */
export interface Labels {
  language: string;
  /** Before a list of what the learner knows already. */
  known: string;
  /** Between two titles. */
  and: string;
  /** Title of a lesson that tells steps and has no heading of its own; of what stands before all headings. */
  stepByStep: string;
  /** What calls a run of questions that were sent to a speaker. */
  asked: string;
  opening: string;
  /** Titles of modules by the moment of the work, where the sources give none. */
  moments: Record<'before' | 'doing' | 'more' | 'trouble' | 'after', string>;
  /** What is asked besides the subjects that a page of questions has. */
  moreQuestions: string;
  /**
   * Heads of what takes another shape: cases, times and what holds in them, people and what they do, what to do and
   * not to do, the parts of an example that is gone through.
   */
  /** The reader, as somebody in a drawing. */
  you: string;
  shapes: Record<'when' | 'time' | 'then' | 'who' | 'does' | 'do' | 'dont' | 'given' | 'working' | 'result', string>;
  /**
   * What a lesson begins with: all it settles, or some of it (`{things}`, `{count}`); and how a procedure, terms,
   * people with their work, a story, an emergency and exceptions are called among those.
   */
  frame: Record<'all' | 'some' | 'how' | 'terms' | 'who' | 'case' | 'emergency' | 'exception', string> & {
    counts: string[];
  };
}
