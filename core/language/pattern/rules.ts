import type { Stance, Strength } from '../pack';

/**
 * What a language says by its words alone, where no parts of speech are at hand: enough for rules, terms, steps,
 * figures and the like.
 */
export interface PatternRules {
  /**
   * Words of obligation, the surest first; matched anywhere in the main clause. What follows the match is the action,
   * what stands before it the subject.
   */
  modals: readonly { pattern: RegExp; strength: Strength; negative?: boolean; impersonal?: boolean }[];
  /** Right behind a modal, what turns it round, and into what; `undefined` strength: no rule at all ("muss nicht"). */
  negated: { pattern: RegExp; for: Partial<Record<Strength, Strength>> };
  /** Who nobody is, as a subject ("Niemand darf …"): what that turns a strength into. */
  nobody: { pattern: RegExp; for: Partial<Record<Strength, Strength>> };
  /** Right behind a permission, what makes a duty of it ("dürfen nur …"). */
  only?: RegExp;
  /** Subordinators that begin a condition, at the beginning of a sentence and behind a comma. */
  conditions: RegExp;
  /**
   * What else says when a rule holds, in front of it and up to a comma ("Après deux absences, …", "Wird er gestohlen,
   * …").
   */
  circumstance: RegExp;
  /** A clause in the place of the subject ("Wer zuletzt geht, muss …"). */
  whoever?: RegExp;
  /** Behind a leading condition, or such a phrase as `fronted`, the modal stands before its subject (German). */
  inverted?: RegExp;
  fronted?: RegExp;
  /** A clause that tells the reader to act; and one that tells not to. */
  order: RegExp;
  orderNot: RegExp;
  /** Anywhere in an order up to its first comma, what turns it round. */
  orderTurned?: RegExp;
  /** Where an action ends before the sentence does. */
  actionEnd: RegExp;
  /** Persons and groups, as heads of a subject. */
  persons: RegExp;
  /** No subject: it points back, or is none. */
  noSubject: RegExp;
  /** "A term is a …": groups `term` and `meaning`. */
  definition: RegExp;
  /** Terms that say nothing of their own. */
  vague: RegExp;
  /** What a sentence that is no rule says of an action. */
  stances: readonly [pattern: RegExp, stance: Stance][];
  /** The words by which they say it, beside what they say it of. */
  stanceWords: RegExp;
  /** Subjects that are the reader or anybody. */
  reader: RegExp;
  units: readonly [pattern: RegExp, unit: string, dimension: string][];
  numberWords: Readonly<Record<string, number>>;
  /** Figures limit something right behind these words, or anywhere in a sentence with those. */
  limit: RegExp;
  limitAnywhere: RegExp;
  warning: RegExp;
  reason: RegExp;
  example: RegExp;
  tip: RegExp;
  comparison: RegExp;
  /** Who answers for what, where the sentence names a person too. */
  role: RegExp;
  /** Words for "I". */
  firstPerson: RegExp;
  pointsBack: RegExp;
  joinsOn: RegExp;
  elsewhere: RegExp;
  aboutDocument: RegExp;
  pointsWithin: RegExp;
  /** Lead-ins of steps, and of duties ("Der Fahrer muss:"). */
  leadIns: { steps: RegExp; duties: RegExp };
  /** An item behind a duties lead-in begins with a small letter there; not in German, whose nouns keep theirs. */
  lowersItems: boolean;
}
