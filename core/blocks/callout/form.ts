import { richText, type RichText } from '../../document/rich-text';
import { list, object, oneOf } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/**
 * What a callout is for; `experience` is told by somebody who does the work, in their own words; a `case` is a story to
 * judge by; `why` gives the reason for what is taught.
 */
export const CALLOUT_TONES = ['note', 'tip', 'warning', 'why', 'example', 'case', 'experience'] as const;

export type CalloutTone = (typeof CALLOUT_TONES)[number];

/** A few sentences set apart. */
export interface CalloutBody {
  tone: CalloutTone;
  paragraphs: RichText[];
}

export const callout: BlockForm<CalloutBody> = {
  body: object({ tone: oneOf(...CALLOUT_TONES), paragraphs: list(richText, { min: 1 }) }),
  texts: (body) => body.paragraphs,
  mapTexts: (body, change) => ({ ...body, paragraphs: body.paragraphs.map(change) }),
  prose: true,
  fromEntries: (entries) => [{ tone: 'note', paragraphs: entries.flatMap(joinedTexts) }],
};
