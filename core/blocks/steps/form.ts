import { richText, type RichText } from '../../document/rich-text';
import { list, object, oneOf } from '../../document/shape';
import { joinedTexts, splitLead } from '../entry';
import type { BlockForm } from '../form';

/** What to do, in order. `detail` is what the source adds to a step; `show`: learners go through them one at a time. */
export interface StepsBody {
  steps: { text: RichText; detail?: RichText[] }[];
  show?: 'one';
}

export const steps: BlockForm<StepsBody> = {
  body: object(
    { steps: list(object({ text: richText }, { detail: list(richText) }), { min: 1 }) },
    { show: oneOf('one') },
  ),
  texts: (body) => body.steps.flatMap((step) => [step.text, ...(step.detail ?? [])]),
  mapTexts: (body, change) => ({
    ...body,
    steps: body.steps.map((step) => ({
      text: change(step.text),
      ...(step.detail && { detail: step.detail.map(change) }),
    })),
  }),
  prose: true,
  entries: (body) =>
    body.steps.map(({ text, detail = [] }) => {
      const { lead, texts } = splitLead(text);
      return { ...(lead && { lead }), texts: [...texts, ...detail] };
    }),
  fromEntries: (entries) => [
    {
      steps: entries.map((entry) => {
        const [text = [], ...detail] = joinedTexts(entry);
        return { text, ...(detail.length > 0 && { detail }) };
      }),
    },
  ],
};
