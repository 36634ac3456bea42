import type { Aim, Proposal } from '~~/core/rewrite';

/** What authors call an aim, and what else they may type for it. */
export const AIM_WORDS: Record<Aim, { label: string; also: string }> = {
  shorter: { label: 'Shorter', also: 'cut, trim, tighten, fewer words' },
  simpler: { label: 'Simpler', also: 'plain, easy to read, split sentences' },
  'less-formal': { label: 'Less formal', also: 'friendly, contractions, relaxed' },
  'more-formal': { label: 'More formal', also: 'in full, no contractions' },
  'to-reader': { label: 'As orders to the reader', also: 'direct, imperative, you must' },
};

/** Why nothing was proposed, by the aim. */
export const NOTHING: Record<Aim, string> = {
  shorter: 'Nothing to cut safely: there are no references in brackets and no roundabout wordings here.',
  simpler:
    'Nothing to make simpler safely: there are no words with a plainer one, and no sentence that falls into two.',
  'less-formal': 'Nothing to relax: no words here are said together, or they forbid something and keep their weight.',
  'more-formal': 'Nothing to say in full: there are no contractions here, or only such that can mean two things.',
  'to-reader': 'Nothing to turn: no sentence here says “you must” at its beginning. “Should” stays what it is.',
};

/** Why a sentence was left as it is. */
export const KEPT: Record<Proposal['kept'][number]['why'], string> = {
  figure: 'a figure would change',
  denial: 'what it denies would change',
  strength: 'how firmly it holds would change',
  words: 'words that matter would go',
};
