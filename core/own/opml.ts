import { SaxesParser } from 'saxes';
import { fail } from '../document/problem';
import { MOST_LINES, nested, type OutlineLine, type OwnOutline } from './own';

/**
 * Reads an outline in OPML 2.0 (http://opml.org/spec2.opml): each `outline` element a line, its `text` the words, a
 * `_note` or `description` what can be done afterwards. Throws the problem `broken` for what is not well-formed, and
 * `not-this-format` for XML that is no OPML. Entities of its own are not read.
 */
export function outlineFromOpml(xml: string, moduleTitle: string): OwnOutline {
  const lines: OutlineLine[] = [];
  const open: string[] = [];
  let [depth, isOpml, title] = [0, false, ''];
  const parser = new SaxesParser();
  parser.on('error', (error) => fail('broken', { format: 'opml' }, undefined, error));
  parser.on('doctype', () => fail('xml-entities'));
  parser.on('opentag', ({ name, attributes }) => {
    open.push(name);
    if (name === 'opml') isOpml = true;
    if (name !== 'outline') return;
    depth++;
    const text = plain(attributes.text ?? attributes.title ?? '');
    const objective = plain(attributes._note ?? attributes.description ?? '');
    if (text && lines.length < MOST_LINES) lines.push({ level: depth, text, ...(objective && { objective }) });
  });
  parser.on('text', (text) => {
    if (open.at(-1) === 'title' && open.at(-2) === 'head') title += text;
  });
  parser.on('closetag', ({ name }) => {
    open.pop();
    if (name === 'outline') depth--;
  });
  parser.write(xml).close();
  if (!isOpml) fail('not-this-format', { format: 'opml' });
  const outline = nested(lines, moduleTitle);
  return title.trim() && !outline.title ? { ...outline, title: title.trim() } : outline;
}

/** `text` may hold marks of HTML. */
const plain = (text: string): string =>
  text
    .replace(/<[^>]*>/g, '')
    .replace(/\s+/g, ' ')
    .trim();
