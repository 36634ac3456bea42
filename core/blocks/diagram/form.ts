import { ID_PATTERN } from '../../document/id';
import { list, object, oneOf, string } from '../../document/shape';
import type { BlockForm } from '../form';

/**
 * What is drawn of words: steps as a strip, bands as a scale, what people hand to each other, how it was and how it
 * is.
 */
export const DIAGRAM_FORMS = ['strip', 'scale', 'roles', 'change'] as const;
export type DiagramForm = (typeof DIAGRAM_FORMS)[number];

/**
 * A drawing made of words, which stay words: they are found, read aloud and translated like any. Its evidence is of the
 * whole.
 */
export interface DiagramBody {
  form: DiagramForm;
  title: string;
  /** Stages, bands, people, or the two sides of a change, in order. */
  parts: DiagramPart[];
  /** Of people: what goes from one to another. */
  links?: DiagramLink[];
}

export interface DiagramPart {
  id: string;
  label: string;
  /** What holds there, or is said of it. */
  text?: string;
}

export interface DiagramLink {
  id: string;
  from: string;
  to: string;
  label: string;
}

export const LABEL_LONGEST = 120;
const id = string({ pattern: ID_PATTERN });
const label = string({ min: 1, max: LABEL_LONGEST });
const SECONDS_LOOKED = 6;

export const diagram: BlockForm<DiagramBody> = {
  body: object(
    {
      form: oneOf(...DIAGRAM_FORMS),
      title: string({ max: 300 }),
      parts: list(object({ id, label }, { text: string({ min: 1, max: 400 }) })),
    },
    { links: list(object({ id, from: id, to: id, label }), { min: 1 }) },
  ),
  problems({ parts, links = [] }) {
    const known = new Set(parts.map((part) => part.id));
    return links.some(({ from, to }) => !known.has(from) || !known.has(to)) ? ['diagram-link'] : [];
  },
  blank: ({ form, parts, links = [] }) => (form === 'roles' ? links.length === 0 : parts.length === 0),
  texts: () => [],
  mapTexts: (body) => body,
  plain: ({ title, parts, links = [] }) => [
    title,
    ...parts.flatMap((part) => [part.label, ...(part.text ? [part.text] : [])]),
    ...links.map((link) => link.label),
  ],
  mapPlain: (body, change) => ({
    ...body,
    title: change(body.title),
    parts: body.parts.map((part) => ({
      ...part,
      label: change(part.label),
      ...(part.text && { text: change(part.text) }),
    })),
    ...(body.links && { links: body.links.map((link) => ({ ...link, label: change(link.label) })) }),
  }),
  text: ({ title, parts }) =>
    [title, ...parts.map((part) => [part.label, part.text].filter(Boolean).join(': '))].filter(Boolean).join('\n') ||
    '\u2013',
  study: { entries: () => 1, most: 1, minutes: SECONDS_LOOKED / 60 },
  evidence: 'block',
};

/** What goes from whom to whom, by their names. */
export function passed({ parts, links = [] }: DiagramBody): { id: string; from: string; to: string; label: string }[] {
  const names = new Map(parts.map((part) => [part.id, part.label]));
  return links.map((link) => ({ ...link, from: names.get(link.from) ?? '', to: names.get(link.to) ?? '' }));
}
