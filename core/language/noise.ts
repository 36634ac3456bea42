import type { Noise } from '../course/left-out';

export type { Noise } from '../course/left-out';

/** Where a sentence stands, as far as its noise depends on it. */
export interface NoiseSetting {
  /** Spoken to a hall or a camera. */
  spoken: boolean;
  /** Of a text in which somebody says "I": a talk, an interview, a post. */
  voice: boolean;
  /** Among the first words of a document or of a talk, or its last. */
  edge: boolean;
  /** Right under the document's own title, before anything is headed. */
  opening: boolean;
  /** No sentence: without a verb that says something. */
  bare: boolean;
  /** One of several steps in an order: what it tells to look at is looked at. */
  step: boolean;
}

/**
 * One named kind of noise: whether a sentence is nothing else. `always`: it is known by its whole words, so that an
 * order in it ("see", "write to us") is its own.
 */
export interface NoiseDetector {
  noise: Noise;
  always: boolean;
  is(sentence: string, setting: NoiseSetting): boolean;
}

/**
 * The named kind of noise that a sentence is; undefined when it is none. `instructs`: it carries a rule, limit,
 * definition, step or warning, and then only what is known by its whole words counts.
 */
export function noiseIn(
  detectors: readonly NoiseDetector[],
  sentence: string,
  instructs: boolean,
  setting: NoiseSetting,
): Noise | undefined {
  return detectors.find((detector) => (detector.always || !instructs) && detector.is(sentence, setting))?.noise;
}
