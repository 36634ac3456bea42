import { richText, type RichText } from '../../rich-text';
import { list, object } from '../../shape';
import type { BlockKind } from '../kind';

/** What to take along from a lesson. */
export interface SummaryBody {
  points: RichText[];
}

export const summary: BlockKind<SummaryBody> = {
  body: object({ points: list(richText, { min: 1 }) }),
  texts: (body) => body.points,
  mapTexts: (body, change) => ({ points: body.points.map(change) }),
};
