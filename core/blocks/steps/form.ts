import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import type { BlockForm } from '../form';

/** What to do, in order. `detail` is what the source adds to a step. */
export interface StepsBody {
  steps: { text: RichText; detail?: RichText[] }[];
}

export const steps: BlockForm<StepsBody> = {
  body: object({ steps: list(object({ text: richText }, { detail: list(richText) }), { min: 1 }) }),
  texts: (body) => body.steps.flatMap((step) => [step.text, ...(step.detail ?? [])]),
  mapTexts: (body, change) => ({
    steps: body.steps.map((step) => ({
      text: change(step.text),
      ...(step.detail && { detail: step.detail.map(change) }),
    })),
  }),
  prose: true,
  fromTexts: (texts) => [{ steps: texts.map((text) => ({ text })) }],
};
