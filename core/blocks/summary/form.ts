import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import { joinedTexts } from '../entry';
import type { BlockForm } from '../form';

/** What to take along from a lesson. */
export interface SummaryBody {
  points: RichText[];
}

export const summary: BlockForm<SummaryBody> = {
  body: object({ points: list(richText, { min: 1 }) }),
  texts: (body) => body.points,
  mapTexts: (body, change) => ({ points: body.points.map(change) }),
  fromEntries: (entries) => [{ points: entries.flatMap(joinedTexts) }],
};
