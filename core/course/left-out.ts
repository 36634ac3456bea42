import type { PassageRange } from '../document/rich-text';

/**
 * What teaches nothing, by name. Each name is shown to the author as the reason why something was left out. history:
 * what changed in a document, and its numbers and dates; contents; legal: copyright and licence; thanks: with who made
 * it; contact: where to write about the document; index; references; about: how a document is to be read; pointer: only
 * sends elsewhere; unfinished: a note of its author to do something; marketing: only praises; greeting and stage: what
 * a speaker says to the hall; politeness.
 */
export const NOISES = [
  'history',
  'contents',
  'legal',
  'thanks',
  'contact',
  'index',
  'references',
  'about',
  'unfinished',
  'pointer',
  'marketing',
  'greeting',
  'stage',
  'politeness',
] as const;
export type Noise = (typeof NOISES)[number];

/**
 * Why words of a source are not in the course: a kind of noise by its name, or known, repeated, supporting (finds no
 * place), outline (no
 * lesson of the author's outline is about it), light or size (no room).
 */
export const LEFT_OUT_REASONS = [...NOISES, 'known', 'repeated', 'supporting', 'outline', 'light', 'size'] as const;
export type LeftOutReason = (typeof LEFT_OUT_REASONS)[number];

/** Why words are missing now: as drafting left them out, or `lapsed`: what said them elsewhere is gone since. */
export type MissingReason = LeftOutReason | 'lapsed';

/** Words of a source that drafting left out, for one reason. What evidence covers since is no longer left out. */
export interface LeftOut {
  passages: PassageRange[];
  reason: LeftOutReason;
}

/**
 * What words say, for counting: what must not be missed of them (limits, exceptions, emergencies, prohibitions,
 * deadlines), otherwise what kind of thing is claimed; `passage`: nothing is.
 */
export type SaidKind =
  | 'limit'
  | 'exception'
  | 'emergency'
  | 'prohibition'
  | 'deadline'
  | 'rule'
  | 'definition'
  | 'step'
  | 'figure'
  | 'warning'
  | 'reason'
  | 'example'
  | 'tip'
  | 'comparison'
  | 'role'
  | 'passage';

/** How many of each. */
export type SaidCounts = Partial<Record<SaidKind, number>>;
