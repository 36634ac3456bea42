import { richText, textOf, type RichText } from '../../document/rich-text';
import { object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** A place for what holds where the course is taken (a name, a number, a door); without words it is open. */
export interface SlotBody {
  /** What belongs here. */
  asks: string;
  text: RichText;
}

/** Whether what belongs into a slot is not said yet. */
export const isOpenSlot = ({ text }: SlotBody): boolean => textOf(text).trim() === '';

export const slot: BlockForm<SlotBody> = {
  body: object({ asks: string({ min: 1 }), text: richText }),
  texts: (body) => [body.text],
  mapTexts: (body, change) => ({ ...body, text: change(body.text) }),
  text: ({ asks, text }) => [asks, textOf(text)].filter(Boolean).join(': '),
  plain: ({ asks }) => [asks],
  mapPlain: (body, change) => ({ ...body, asks: change(body.asks) }),
};
