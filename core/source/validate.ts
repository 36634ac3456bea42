import { ID_PATTERN } from '../document/id';
import type { Problem } from '../document/problem';
import { boolean, list, number, object, oneOf, string, type Shape } from '../document/shape';
import { contentVersion } from './assemble';
import { allSections, type Source } from './source';

/** An address that may be shown and followed: of the web, or of a mailbox. */
export const FOLLOWED = /^(https?:\/\/|mailto:)\S+$/;

const id = string({ pattern: ID_PATTERN });
const whole = number({ min: 0, whole: true });
const mark = object(
  { from: whole, to: whole, kind: oneOf('strong', 'emphasis', 'code', 'link') },
  { href: string({ max: 4000 }) },
);
const locator = object(
  { path: list(string({ max: 4000 })) },
  {
    page: whole,
    slide: whole,
    seconds: number({ min: 0 }),
    anchor: string({ max: 4000 }),
    clause: string({ max: 200 }),
    question: string({ max: 4000 }),
    file: string({ max: 4000 }),
  },
);
const passage = object(
  {
    id,
    kind: oneOf(
      'paragraph',
      'item',
      'row',
      'definition',
      'caption',
      'code',
      'quote',
      'footnote',
      'point',
      'note',
      'utterance',
    ),
    text: string(),
    locator,
  },
  {
    marks: list(mark),
    list: object(
      { id: string({ max: 200 }), ordered: boolean, depth: whole },
      { number: number({ whole: true }), continued: boolean },
    ),
    table: object({ id: string({ max: 200 }), header: list(string()), cells: list(string()) }),
    leadIn: id,
    term: string({ max: 4000 }),
    speaker: string({ max: 4000 }),
    callout: oneOf('note', 'tip', 'warning', 'experience'),
  },
);
const picture = object(
  {
    hash: string({ pattern: /^[0-9a-f]{64}$/ }),
    type: string({ pattern: /^image\/[a-z0-9.+-]{1,40}$/ }),
    alt: string({ max: 4000 }),
  },
  { near: id, caption: id },
);
const parameter: Shape = {
  schema: { type: ['string', 'number'] },
  check: (value, place, problems) =>
    void (typeof value === 'string' || typeof value === 'number' || problems.push({ code: 'not-text', place })),
};
const parameters: Shape = {
  schema: { type: 'object', additionalProperties: parameter.schema },
  check(value, place, problems) {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      problems.push({ code: 'not-an-object', place });
    else for (const [key, each] of Object.entries(value)) parameter.check(each, `${place}/${key}`, problems);
  },
};
const section: Shape = {
  schema: { type: 'object' },
  check(value, place, problems) {
    object(
      { id, title: string(), level: whole, passages: list(id), sections: list(section) },
      { number: string({ max: 200 }) },
    ).check(value, place, problems);
  },
};

/** The form of a source. */
export const sourceShape = object(
  {
    id,
    title: string({ min: 1, max: 4000 }),
    language: string({ min: 2, max: 40 }),
    version: string({ pattern: /^[0-9a-f]{64}$/ }),
    words: whole,
    kind: oneOf(
      'docx',
      'pdf',
      'pptx',
      'epub',
      'html',
      'markdown',
      'text',
      'vtt',
      'srt',
      'odt',
      'odp',
      'ods',
      'rtf',
      'xlsx',
      'csv',
      'interview',
    ),
    root: section,
    passages: list(passage),
    pictures: list(picture),
    notices: list(object({ code: string({ max: 80 }) }, { parameters })),
  },
  { address: string({ pattern: FOLLOWED }), published: string({ max: 200 }) },
);

/**
 * Everything that is wrong with a source that came from elsewhere: its form, ids that stand twice, sections that do not
 * hold just its passages, a version that is not that of its content. Empty when it is good.
 */
export function validateSource(value: unknown): Problem[] {
  const problems: Problem[] = [];
  sourceShape.check(value, '', problems);
  if (problems.length > 0) return problems;
  const source = value as Source;
  const sections = allSections(source.root);
  const ids = [source.id, ...sections.map((each) => each.id), ...source.passages.map((each) => each.id)];
  const known = new Set(ids);
  if (known.size < ids.length) problems.push({ code: 'id-twice', place: source.id });
  if (sections.flatMap((each) => each.passages).join() !== source.passages.map((each) => each.id).join())
    problems.push({ code: 'sections-differ', place: source.id });
  for (const each of source.passages) {
    if (each.leadIn && !known.has(each.leadIn))
      problems.push({ code: 'no-such-passage', place: `${each.id}/${each.leadIn}` });
    if (
      each.marks?.some(
        (part) =>
          part.from > part.to ||
          part.to > each.text.length ||
          (part.href !== undefined && !FOLLOWED.test(part.href) && /^\s*\w+:/.test(part.href)),
      )
    )
      problems.push({ code: 'bad-mark', place: each.id });
  }
  if (contentVersion(source) !== source.version) problems.push({ code: 'version-differs', place: source.id });
  return problems;
}
