/**
 * What teaches nothing, by name. Each name is shown to the author as the reason why something was left out.
 * history: what changed in a document, and its numbers and dates; contents; legal: copyright and licence; thanks: with who made it;
 * contact: where to write about the document; index; references; about: how a document is to be read; pointer: only sends elsewhere;
 * unfinished: a note of its author to do something;
 * marketing: only praises; greeting and stage: what a speaker says to the hall; politeness.
 */
export const NOISES = ['history', 'contents', 'legal', 'thanks', 'contact', 'index', 'references', 'about', 'unfinished', 'pointer', 'marketing', 'greeting', 'stage', 'politeness'] as const;
export type Noise = (typeof NOISES)[number];

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
}

/** One named kind of noise: whether a sentence is nothing else. `always`: it is known by its whole words, so that an order in it ("see", "write to us") is its own. */
export interface NoiseDetector {
  noise: Noise;
  always: boolean;
  is(sentence: string, setting: NoiseSetting): boolean;
}

/** The named kind of noise that a sentence is; undefined when it is none. `instructs`: it carries a rule, limit, definition, step or warning, and then only what is known by its whole words counts. */
export function noiseIn(detectors: readonly NoiseDetector[], sentence: string, instructs: boolean, setting: NoiseSetting): Noise | undefined {
  return detectors.find((detector) => (detector.always || !instructs) && detector.is(sentence, setting))?.noise;
}
