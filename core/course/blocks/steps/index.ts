import { richText, type RichText } from '../../rich-text';
import { list, object } from '../../shape';
import type { BlockKind } from '../kind';

/** What to do, in order. `detail` is what the source adds to a step. */
export interface StepsBody {
  steps: { text: RichText; detail?: RichText[] }[];
}

export const steps: BlockKind<StepsBody> = {
  body: object({ steps: list(object({ text: richText }, { detail: list(richText) }), { min: 1 }) }),
  texts: (body) => body.steps.flatMap((step) => [step.text, ...(step.detail ?? [])]),
  mapTexts: (body, change) => ({
    steps: body.steps.map((step) => ({ text: change(step.text), ...(step.detail && { detail: step.detail.map(change) }) })),
  }),
};
