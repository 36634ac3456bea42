import type { CheckFrame } from './check';
import type { SAID_CODES } from './options';
import type { SceneView } from './scenario/marking';

/** What is said to a response: why it is right or not as a code, what the source says, or the author's own words. */
export interface Feedback {
  code: (typeof SAID_CODES)[number] | 'some-missing' | 'compare';
  quotes: string[];
  text?: string;
  /** What a good answer names. */
  points?: string[];
  /** A story as far as it was gone. */
  story?: Story;
  /** How well each criterion was met. */
  criteria?: JudgedCriterion[];
  /** The marks are suggested: no person has looked at them. */
  suggested?: true;
  /** What the author says to every right answer, or to every other. */
  general?: string;
}

/**
 * A mark beside its score, as it is given to a hand-in: levels by criterion, and to each the words that earned it, and
 * what is said.
 */
export interface GivenMark {
  levels?: Record<string, string>;
  words?: Record<string, string[]>;
  notes?: Record<string, string>;
  /** No person gave it. `doubt`: the criteria it is not sure of. */
  suggested?: true;
  doubt?: string[];
}

/** A criterion with the level it was given; `words` are those of the hand-in that earned it. */
export interface JudgedCriterion {
  text: string;
  level?: string;
  points: number;
  of: number;
  words?: string[];
  note?: string;
}

/** A step of a story: the scene, what was chosen in it (nothing where it was an end), and what followed. */
export interface StoryStep {
  scene: SceneView;
  chosen: string;
  follows: string;
  /** Once the story is over: whether it was the best that could be done there, the worst, or between. */
  worth?: 'best' | 'near' | 'off';
}

/** A story as far as it was gone: with the scene it goes on with, or with what it was worth when it is over. */
export interface Story {
  steps: StoryStep[];
  next?: SceneView;
  points?: number;
  of?: number;
  debrief?: string;
}

/**
 * What a response is worth. Until a person has marked it, its state is `waiting`, and its score
 * counts nowhere; while more of it is to come it is `going`, and counts as no answer yet.
 */
export interface Mark {
  /** 0 to 1. */
  score: number;
  state: 'marked' | 'waiting' | 'going';
  /** Scores of its parts, where it has some; 0 to 1 each. */
  parts?: number[];
  feedback?: Feedback;
}

/** Writes and reads numbers of so many bits, as packed states hold them. */
export interface BitWriter {
  put(value: number, width: number): void;
}
export type BitReader = (width: number) => number;

/** A response as reports of learning platforms name it: a type of SCORM's interactions, and its words or pairs. */
export interface Interaction {
  type: 'choice' | 'true-false' | 'fill-in' | 'long-fill-in' | 'matching' | 'sequencing' | 'numeric';
  response: string[] | [string, string][];
}

/**
 * How a kind of check is taken and marked. `View` is what a learner gets of it, `Secret` what is kept from them until
 * it may be seen, `Response` what they answer: plain JSON, and opaque to everything else.
 */
export interface CheckMarking<Kind extends CheckFrame, View, Secret, Response> {
  /** `mix` gives ids by which nothing can be told. */
  view(check: Kind, mix: (id: string) => string): View;
  secret(check: Kind, mix: (id: string) => string): Secret;
  /** A response as it came from outside; undefined when it is none to this check. */
  read(response: unknown, secret: Secret): Response | undefined;
  mark(secret: Secret, response: Response): Mark;
  /** What is said to a response by the mark it was given, where it is given one in parts. */
  judged?(secret: Secret, given: GivenMark): Feedback;
  /** The right response and what is said to it, for when nothing can be won by knowing it. */
  solution(secret: Secret): { response: Response; feedback?: Feedback };
  /** The same view with what can be chosen from in another order, where its order says nothing. */
  reordered?(view: View, order: <Item extends { id: string }>(items: readonly Item[]) => Item[]): View;
  /** What becomes of it where no person marks, as in a package. */
  alone?(asked: { view: View; secret: Secret }): { view: object; secret: Secret };
  /** Its responses are typed words: the first that a packed state does without. */
  typed?: true;
  pack(view: View, response: Response, bits: BitWriter): void;
  unpack(view: View, bits: BitReader): Response | undefined;
  interaction(view: View, response: Response): Interaction | undefined;
  /** A response in words, a line each, for who looks at results. */
  said(view: View, response: Response, secret: Secret): string[];
  /** Of responses that come step by step: whether one takes another further. */
  goesOn?(before: Response, response: Response): boolean;
}
