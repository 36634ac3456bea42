import { list, number, object, oneOf, string } from '../../document/shape';
import { CREDITS, idShape, type CheckFrame, type Credit } from '../check';
import type { CheckForm } from '../form';
import { feedbackShape, keyProblems, line, rewordedOptions, type Option } from '../options';

/** Where an area lies in its picture: its upper left corner and its size, in hundredths of the picture's. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** An area that can be chosen; its text says what is to be seen there, for who cannot see it. */
export interface Area extends Omit<Option, 'picture'> {
  box: Box;
}

/** A question that is answered in a picture: by one of its areas, or by several. */
export interface AreaCheck extends CheckFrame {
  kind: 'area';
  options: Area[];
  /** Ids of the right areas. */
  keys: string[];
  credit: Credit;
}

/** An area is at least so wide and so high that a finger finds it in a picture as wide as a phone. */
export const SMALLEST = 4;
const part = number({ min: 0, max: 100 });
const size = number({ min: SMALLEST, max: 100 });
const areaShape = object({
  id: idShape,
  text: string({ min: 1 }),
  feedback: feedbackShape,
  box: object({ x: part, y: part, width: size, height: size }),
});

export const area: CheckForm<AreaCheck> = {
  fields: {
    required: { options: list(areaShape, { min: 2 }), keys: list(idShape, { min: 1 }), credit: oneOf(...CREDITS) },
  },
  problems: ({ options, keys }) => [
    ...keyProblems(
      options.map(({ id }) => id),
      keys,
    ),
    ...(options.every(({ box }) => box.x + box.width <= 100 && box.y + box.height <= 100)
      ? []
      : ['outside-picture' as const]),
  ],
  reworded: ({ options }, change) => ({ options: rewordedOptions(options, change) }),
  text: ({ stem, options, keys }) => [stem, ...options.map(({ id, text }) => line(keys.includes(id), text))].join('\n'),
};

/** A box brought into its picture, to tenths: what is drawn or moved by hand. */
export function inPicture({ x, y, width, height }: Box): Box {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const within = (value: number, most: number) => Math.min(Math.max(value, 0), most);
  const wide = within(tenth(Math.max(width, SMALLEST)), 100);
  const high = within(tenth(Math.max(height, SMALLEST)), 100);
  return { x: tenth(within(x, 100 - wide)), y: tenth(within(y, 100 - high)), width: wide, height: high };
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** Areas by rows, as a picture is read: an order that says nothing of what is right. */
export const asRead = <Each extends { box: Box }>(areas: readonly Each[]): Each[] =>
  [...areas].sort((a, b) => a.box.y - b.box.y || a.box.x - b.box.x);

/** The letter of each area of a picture, by its id: the same for who writes the question and who answers it. */
export const lettersOf = (areas: readonly { id: string; box: Box }[]): Map<string, string> =>
  new Map(asRead(areas).map(({ id }, at) => [id, LETTERS[at] ?? String(at + 1)]));
