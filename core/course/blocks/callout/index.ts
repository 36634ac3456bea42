import { richText, type RichText } from '../../rich-text';
import { list, object, oneOf } from '../../shape';
import type { BlockKind } from '../kind';

/** A few sentences set apart. */
export interface CalloutBody {
  tone: 'note' | 'tip' | 'warning' | 'example';
  paragraphs: RichText[];
}

export const callout: BlockKind<CalloutBody> = {
  body: object({ tone: oneOf('note', 'tip', 'warning', 'example'), paragraphs: list(richText, { min: 1 }) }),
  texts: (body) => body.paragraphs,
  mapTexts: (body, change) => ({ ...body, paragraphs: body.paragraphs.map(change) }),
};
