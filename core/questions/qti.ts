import { SaxesParser } from 'saxes';
import type { Check } from '../checks/forms';
import { checkFormOf } from '../checks/forms';
import { checkFieldsOf } from '../checks/qtis';
import { pictureIn, RESPONSE, within, wordsOf, type QtiGiven, type QtiNode } from '../checks/qti';
import { mediaRefs, type PictureRef } from '../document/media';
import { fail, ProblemError } from '../document/problem';
import { inspectPicture } from '../media/inspect';
import { unpack } from '../reading/zip';
import { framed, type Bringing, type BroughtQuestions, type LeftQuestion } from './given';
import { inVersion3 } from './names';

/** A zip begins so. */
const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Whether some bytes could be QTI: a zip, or XML. */
export const looksLikeQti = (bytes: Uint8Array): boolean =>
  isZip(bytes) || /^\s*(\ufeff)?\s*<(\?xml|qti-|assessment)/.test(new TextDecoder().decode(bytes.slice(0, 200)));

/**
 * Questions out of QTI 2.x or 3: a package, or a single item. Pictures come with the questions
 * they stand in. What a test says of order and selection is not read. What cannot be taken is named, with the file it
 * stands in.
 */
export function readQti(name: string, bytes: Uint8Array, bringing: Bringing): BroughtQuestions {
  const entries = isZip(bytes)
    ? [...unpack(bytes, (each) => /\.(?:xml|png|jpe?g|gif|webp|avif)$/i.test(each))]
    : [[name, bytes] as const];
  const files = entries.filter(([each]) => /\.xml$/i.test(each)).sort(([a], [b]) => (a < b ? -1 : 1));
  const brought = picturesOf(entries);
  const media = new Map<string, Uint8Array>();
  const checks: Check[] = [];
  const left: LeftQuestion[] = [];
  for (const [file, content] of files) {
    try {
      const root = treeOf(new TextDecoder().decode(content));
      if (root.name !== 'assessment-item') continue;
      const pictures = named(root, file, brought);
      const taken = checkOf(root, bringing, pictures);
      if ('check' in taken) {
        checks.push(taken.check);
        for (const { hash } of mediaRefs(taken.check)) media.set(hash, brought.byHash.get(hash)!);
      }
      const words = root.attributes.title ?? wordsOf(root).slice(0, 200);
      for (const code of taken.left) left.push({ code, place: file, words });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      left.push({ code: 'broken', place: file, words: '' });
    }
  }
  return { checks, left, media };
}

/** The pictures of a package: what each is, by its place in it, and its bytes. What is none stays behind. */
function picturesOf(entries: readonly (readonly [string, Uint8Array])[]) {
  const byPlace = new Map<string, PictureRef>();
  const byHash = new Map<string, Uint8Array>();
  for (const [place, bytes] of entries) {
    if (/\.xml$/i.test(place)) continue;
    try {
      const media = inspectPicture(bytes, place);
      byPlace.set(place, media);
      byHash.set(media.hash, bytes);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
    }
  }
  return { byPlace, byHash };
}

/** Pictures by the places an item names, which are counted from where it lies itself. */
function named(item: QtiNode, file: string, { byPlace }: ReturnType<typeof picturesOf>): Map<string, PictureRef> {
  const places = imagesIn(item).map(placeNamed);
  const found = new Map<string, PictureRef>();
  for (const place of places) {
    const media = byPlace.get(resolved(place, file));
    if (media) found.set(place, media);
  }
  return found;
}

const placeNamed = ({ attributes }: QtiNode): string => attributes.src ?? attributes.data ?? '';

/** A place as it is written in a file, as a path of the package. */
function resolved(place: string, file: string): string {
  const path: string[] = [];
  const [steps] = place.split(/[?#]/);
  for (const step of [...file.split('/').slice(0, -1), ...steps.split('/')]) {
    if (step === '..') path.pop();
    else if (step !== '.' && step !== '') path.push(spelledOut(step));
  }
  return path.join('/');
}

function spelledOut(step: string): string {
  try {
    return decodeURIComponent(step);
  } catch {
    return step;
  }
}

/** An XML text as a tree by the names of QTI 3. Throws `broken`, and `xml-entities` where it brings its own. */
export function treeOf(xml: string): QtiNode {
  const root: QtiNode = { name: '', attributes: {}, children: [] };
  const open = [root];
  const parser = new SaxesParser();
  parser.on('error', (error) => fail('broken', { format: 'qti' }, undefined, error));
  parser.on('doctype', (text) => {
    if (/ENTITY|SYSTEM|PUBLIC/.test(text)) fail('xml-entities');
  });
  parser.on('opentag', ({ name, attributes }) => {
    const named = Object.entries(attributes as Record<string, string>).map(([key, value]) => [inVersion3(key), value]);
    const node: QtiNode = { name: inVersion3(name), attributes: Object.fromEntries(named), children: [] };
    open.at(-1)!.children.push(node);
    open.push(node);
  });
  parser.on('text', (text) => void open.at(-1)!.children.push(text));
  parser.on('cdata', (text) => void open.at(-1)!.children.push(text));
  parser.on('closetag', () => void open.pop());
  parser.write(xml.replace(/^\ufeff/, '')).close();
  const [first] = root.children.filter((child): child is QtiNode => typeof child !== 'string');
  return first ?? fail('broken', { format: 'qti' });
}

const imagesIn = (node: QtiNode): QtiNode[] => [...within(node, 'img'), ...within(node, 'object')];

const isInteraction = ({ name }: QtiNode): boolean => name.endsWith('-interaction');
const interactionsIn = (node: QtiNode): QtiNode[] =>
  node.children.flatMap((child) =>
    typeof child === 'string' ? [] : isInteraction(child) ? [child] : interactionsIn(child),
  );

function checkOf(
  item: QtiNode,
  bringing: Bringing,
  pictures: QtiGiven['pictures'],
): ({ check: Check } | object) & { left: LeftQuestion['code'][] } {
  const [body] = within(item, 'item-body');
  const interactions = body ? interactionsIn(body) : [];
  // Several interactions in one item are several questions that are scored together: there is no such kind.
  if (interactions.length !== 1) return { left: [interactions.length === 0 ? 'no-question' : 'kind-unknown'] };
  const given = { ...givenOf(item, interactions[0]), pictures };
  const fields = checkFieldsOf(given, bringing.id);
  const stem = stemOf(body, interactions[0]);
  if (!stem) return { left: ['no-question'] };
  if (!fields) {
    const known = ['choice', 'order', 'match', 'text-entry', 'hotspot'].includes(
      interactions[0].name.replace('-interaction', ''),
    );
    return { left: [known ? 'no-key' : 'kind-unknown'] };
  }
  const points = pointsOf(item, given);
  const said = Object.fromEntries(
    (['right', 'wrong'] as const).flatMap((id) => {
      const text = modalOf(item, 'SAID').get(id);
      return text ? [[id, text]] : [];
    }),
  );
  const own = new Set(within(body, 'simple-choice').flatMap(imagesIn));
  const ofStem = imagesIn(body).filter((image) => !own.has(image));
  const picture = pictureIn({ ...body, children: ofStem }, pictures);
  const check = {
    ...framed(bringing, stem),
    ...fields,
    ...(picture && { picture }),
    ...(points !== undefined && points !== 1 && { points }),
    ...(Object.keys(said).length > 0 && { said }),
  } as Check;
  if ((checkFormOf(check).problems?.(check) ?? []).length > 0) return { left: ['no-key'] };
  const kept = mediaRefs(check).length;
  return { check, left: kept < new Set(imagesIn(body).map(placeNamed)).size ? ['picture-left'] : [] };
}

/** How a gap in a text is shown. */
const GAP = '_____';

/** What is asked: the prompt, and what stands before and around the interaction; a gap in a text is shown as one. */
function stemOf(body: QtiNode, interaction: QtiNode): string {
  const prompt = within(interaction, 'prompt').map(wordsOf).join(' ');
  const isGap = interaction.name === 'text-entry-interaction';
  const around = (node: QtiNode): string =>
    node.children
      .map((child) => {
        if (typeof child === 'string') return child;
        if (child === interaction) return isGap ? ` ${GAP} ` : ' ';
        return ['rubric-block', 'feedback-block', 'stylesheet'].includes(child.name) ? ' ' : ` ${around(child)} `;
      })
      .join('');
  const text = [around(body), prompt].join(' ').replace(/\s+/g, ' ').trim();
  // Where nothing comes behind the gap, the field stands below the question.
  const asked = text.endsWith(GAP) ? text.slice(0, -GAP.length) : text;
  return asked.replace(/ ([.,;:!?])/g, '$1').trim();
}

function givenOf(item: QtiNode, interaction: QtiNode): Omit<QtiGiven, 'pictures'> {
  const id = interaction.attributes['response-identifier'] ?? RESPONSE;
  const declaration = within(item, 'response-declaration').find(({ attributes }) => attributes.identifier === id);
  const values = (of: QtiNode | undefined) => (of ? within(of, 'value').map(wordsOf) : []);
  const entries = declaration ? within(declaration, 'map-entry') : [];
  const said = modalOf(item, 'FEEDBACK');
  for (const choice of within(interaction, 'simple-choice')) {
    const inline = within(choice, 'feedback-inline').map(wordsOf).join(' ');
    if (inline) said.set(choice.attributes.identifier ?? '', inline);
  }
  const [equal] = within(item, 'equal');
  return {
    interaction,
    cardinality: declaration?.attributes.cardinality ?? 'single',
    baseType: declaration?.attributes['base-type'] ?? '',
    correct: values(declaration && within(declaration, 'correct-response')[0]),
    mapping: new Map(
      entries.map(({ attributes }) => [attributes['map-key'] ?? '', Number(attributes['mapped-value'] ?? 0)]),
    ),
    ...(equal && { equal }),
    said,
    rubric: within(item, 'rubric-block').flatMap((block) => {
      const lines = within(block, 'p').map(wordsOf).filter(Boolean);
      return lines.length > 0 ? lines : [wordsOf({ ...block, name: 'div' })].filter(Boolean);
    }),
  };
}

/** Feedback that is shown by an outcome; of other makers whatever its outcome is called, but not the general one. */
function modalOf(item: QtiNode, of: 'FEEDBACK' | 'SAID'): Map<string, string> {
  const all = within(item, 'modal-feedback').filter(({ attributes }) =>
    of === 'SAID' ? attributes['outcome-identifier'] === 'SAID' : attributes['outcome-identifier'] !== 'SAID',
  );
  return new Map(all.map((each) => [each.attributes.identifier ?? '', wordsOf(each)]));
}

/** What the whole item gives: what its score says, or its mapping, or what its processing sets. */
function pointsOf(item: QtiNode, { mapping }: QtiGiven): number | undefined {
  const score = within(item, 'outcome-declaration').find(({ attributes }) => attributes.identifier === 'SCORE');
  const most = Number(score?.attributes['normal-maximum']);
  if (Number.isFinite(most) && most > 0) return most;
  const [bounds] = within(item, 'mapping');
  const upper = Number(bounds?.attributes['upper-bound']);
  if (Number.isFinite(upper) && upper > 0) return upper;
  const worth = [...mapping.values()].filter((value) => value > 0);
  return worth.length === 1 ? worth[0] : undefined;
}
