import { mediaName, type PictureRef } from '../document/media';
import { element, type Element } from '../document/xml';
import type { Words } from '../words';
import type { CheckFrame, CheckPicture, Credit } from './check';
import type { Option } from './options';

/** An element of QTI 3; the names of 2.1 are made of it (`qti-simple-choice` becomes `simpleChoice`). */
export const qti = (
  name: string,
  attributes: Readonly<Record<string, string>> = {},
  children: Element['children'] = [],
): Element => element(`qti-${name}`, attributes, children);

/** What the one response of every item is called. */
export const RESPONSE = 'RESPONSE';

/** How responses are declared: what is right, and, where parts count, what each is worth. */
export interface QtiResponse {
  cardinality: 'single' | 'multiple' | 'ordered';
  'base-type': 'identifier' | 'string' | 'float' | 'directedPair';
  correct: string[];
  mapping?: { entries: [key: string, value: number][]; bounds?: { lower: number; upper: number }; otherwise?: number };
}

/** Where a picture lies in a package, what kind it is, and what it shows. */
export interface QtiImage {
  src: string;
  type: string;
  alt: string;
}

/** A check as an item of QTI: what is peculiar to its kind. Points are those of the whole item. */
export interface QtiItem {
  response: QtiResponse;
  /** The check's picture as a part of the interaction, where it is answered in it. */
  shows?: (image: QtiImage, version: string) => Element;
  /** The interaction; where it stands within a text, the stem stands before it. */
  interaction: Element;
  /** By the mapping, all or nothing, or by a condition of its own that gives all; absent: a person marks it. */
  scored?: 'map' | 'match' | Element;
  /** What is said to a response, by its identifier. */
  said?: { id: string; text: string }[];
  /** For who marks it. */
  rubric?: string[];
}

/** An item as it was read, of either version, by the names of QTI 3. */
export interface QtiGiven {
  /** Without `qti-`; its attributes by their names in QTI 3. */
  interaction: QtiNode;
  cardinality: string;
  baseType: string;
  correct: string[];
  mapping: ReadonlyMap<string, number>;
  /** How numbers are compared. */
  equal?: QtiNode;
  /** What is said to responses, by identifier. */
  said: ReadonlyMap<string, string>;
  rubric: string[];
  /** Pictures that the package brings, by the place an item names. */
  pictures: ReadonlyMap<string, PictureRef>;
}

/** An element as it was read. */
export interface QtiNode {
  name: string;
  attributes: Record<string, string>;
  children: (QtiNode | string)[];
}

/** How a kind of check is written as an item of QTI, and made of one. */
export interface CheckQti<Kind extends CheckFrame> {
  write(check: Kind, points: number, words: Pick<Words, 'isTrue' | 'isFalse'>): QtiItem;
  /** Its own fields; undefined where the item is none of this kind. `id` gives fresh ids by their letter. */
  read(given: QtiGiven, id: (letter: string) => string): (Omit<Kind, keyof CheckFrame> & { kind: string }) | undefined;
}

/** All elements of a name within one, in order. */
export function within(node: QtiNode, name: string): QtiNode[] {
  return node.children.flatMap((child) =>
    typeof child === 'string' ? [] : [...(child.name === name ? [child] : []), ...within(child, name)],
  );
}

/** The words of an element, in one line; parts for the marker and what is said to a response are not among them. */
export function wordsOf(node: QtiNode): string {
  const parts = (each: QtiNode): string =>
    each.children
      .map((child) => {
        if (typeof child === 'string') return child;
        return ['feedback-inline', 'feedback-block', 'rubric-block'].includes(child.name) ? ' ' : ` ${parts(child)} `;
      })
      .join('');
  return parts(node)
    .replace(/\s+/g, ' ')
    .replace(/ ([.,;:!?])/g, '$1')
    .trim();
}

/** Choices of an interaction: what is chosen by which identifier. */
export const choicesOf = (node: QtiNode, name = 'simple-choice'): { id: string; text: string; node: QtiNode }[] =>
  within(node, name).map((each) => ({ id: each.attributes.identifier ?? '', text: wordsOf(each), node: each }));

/** What is said to an answer, as words. */
export const saidTo = ({ text, quotes }: Option['feedback']): string =>
  text ?? quotes.map((quote) => quote.text).join(' ');

/** Feedback as it was read: the author's own words from now on. */
export const feedbackFrom = (right: boolean, text: string | undefined): Option['feedback'] => ({
  code: right ? 'right' : 'own',
  quotes: [],
  ...(text && { text }),
});

/** Where a package's item finds a picture. */
export const imageOf = ({ media, alt }: CheckPicture): QtiImage => ({
  src: `../media/${mediaName(media)}`,
  type: media.type,
  alt,
});

/** A picture of a check within a text. */
export function imageElement(picture: CheckPicture): Element {
  const { src, alt } = imageOf(picture);
  return element('img', { src, alt });
}

/** The first picture within an element that the package brings, as a check has it. */
export function pictureIn(node: QtiNode, pictures: QtiGiven['pictures']): CheckPicture | undefined {
  for (const each of [...within(node, 'img'), ...within(node, 'object')]) {
    const media = pictures.get(each.attributes.src ?? each.attributes.data ?? '');
    if (media) return { media, alt: (each.attributes.alt ?? wordsOf(each)).slice(0, 1000) };
  }
  return undefined;
}

/** An answer that is chosen: its words, and its picture before them. */
export const choiceElement = ({ id, text, picture }: Pick<Option, 'id' | 'text' | 'picture'>): Element =>
  qti('simple-choice', { identifier: id }, [...(picture ? [imageElement(picture)] : []), text]);

/** How several right answers are declared and scored. */
export function severalResponse(
  { options, keys, credit }: { options: readonly Option[]; keys: readonly string[]; credit: Credit },
  points: number,
  cardinality: 'single' | 'multiple' = 'multiple',
): Pick<QtiItem, 'response' | 'scored'> {
  const each = points / keys.length;
  const entries = options.map(({ id }): [string, number] => [id, keys.includes(id) ? each : -each]);
  return {
    response: {
      cardinality,
      'base-type': 'identifier',
      correct: [...keys],
      ...(credit === 'each' && { mapping: { entries, bounds: { lower: 0, upper: points } } }),
    },
    scored: credit === 'each' ? 'map' : 'match',
  };
}
