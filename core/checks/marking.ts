import type { Option } from './choice/form';
import type { CheckFrame } from './check';

/** What is said to a response: why it is right or not as a code, what the source says, or the author's own words. */
export interface Feedback {
  code: Option['feedback']['code'];
  quotes: string[];
  text?: string;
}

/** What a response is worth. Until a person has marked it, its state is `waiting`, and its score counts nowhere. */
export interface Mark {
  /** 0 to 1. */
  score: number;
  state: 'marked' | 'waiting';
  /** Scores of its parts, where it has some; 0 to 1 each. */
  parts?: number[];
  feedback?: Feedback;
}

/** Writes and reads numbers of so many bits, as packed states hold them. */
export interface BitWriter {
  put(value: number, width: number): void;
}
export type BitReader = (width: number) => number;

/** A response as reports of learning platforms name it: a type of SCORM's interactions, and its words. */
export interface Interaction {
  type: 'choice' | 'true-false' | 'fill-in' | 'matching' | 'performance' | 'sequencing' | 'likert' | 'numeric';
  response: string;
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
  /** The right response and what is said to it, for when nothing can be won by knowing it. */
  solution(secret: Secret): { response: Response; feedback?: Feedback };
  pack(view: View, response: Response, bits: BitWriter): void;
  unpack(view: View, bits: BitReader): Response | undefined;
  interaction(view: View, response: Response): Interaction | undefined;
}
