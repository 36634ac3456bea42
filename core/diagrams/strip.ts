import { entriesOf } from '../blocks/turn';
import { textOf } from '../document/rich-text';
import { LABEL_LONGEST } from '../blocks/diagram/form';
import type { LanguagePack } from '../language/pack';
import type { Drawing } from './index';

/** Two steps need no drawing, and of many more none is seen at a glance. */
const STEPS = { fewest: 3, most: 9 };

/** Whether a name of a step tells what to do ("Clear the pool"), rather than when ("Loose stool"). */
const tells = (name: string, pack: LanguagePack): boolean =>
  pack.facts?.(name, pack.tags?.(name) ?? []).imperative ?? false;

/** Steps as a strip of stages, where each can be said in few of its words. */
export const stripIn: Drawing = (blocks, pack, id) =>
  blocks.flatMap((block) => {
    if (block.kind !== 'steps' || block.body.steps.length < STEPS.fewest || block.body.steps.length > STEPS.most)
      return [];
    const entries = entriesOf(block);
    // Where some are called something and others are not, those are no stages of one kind.
    const kinds = entries.map(({ lead }) => (lead ? String(tells(textOf(lead), pack)) : 'no lead'));
    if (new Set(kinds).size > 1) return [];
    const labels = entries.map(({ lead, texts }) =>
      lead ? textOf(lead).replace(/[:.]\s*$/, '') : pack.stageOf?.(textOf(texts[0] ?? [])),
    );
    if (labels.some((label) => !label || label.length > LABEL_LONGEST) || new Set(labels).size < labels.length)
      return [];
    return [
      {
        body: {
          form: 'strip',
          parts: labels.map((label) => ({ id: id(), label: label![0].toUpperCase() + label!.slice(1) })),
        },
        of: [block],
      },
    ];
  });
