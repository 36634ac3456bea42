/** An XML element: attributes in the order given, text escaped, children on lines of their own. */
export interface Element {
  name: string;
  attributes?: Readonly<Record<string, string>>;
  children?: readonly (Element | string)[];
}

const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** What XML 1.0 cannot hold is left out. */
const clean = (text: string) =>
  text
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '')
    .replace(/[&<>"]/g, (sign) => SIGNS[sign]);

/** An element in short. */
export const element = (
  name: string,
  attributes: Readonly<Record<string, string>> = {},
  children: Element['children'] = [],
): Element => ({ name, attributes, children });

/** A whole XML document. */
export function writeXml(root: Element): string {
  return `<?xml version="1.0" encoding="UTF-8"?>\n${written(root, '')}`;
}

function written({ name, attributes = {}, children = [] }: Element, indent: string): string {
  const head = `${indent}<${name}${Object.entries(attributes)
    .map(([key, value]) => ` ${key}="${clean(value)}"`)
    .join('')}`;
  if (children.length === 0) return `${head}/>\n`;
  if (children.every((child) => typeof child === 'string'))
    return `${head}>${children.map((child) => clean(child as string)).join('')}</${name}>\n`;
  return `${head}>\n${children.map((child) => (typeof child === 'string' ? clean(child) : written(child, `${indent}  `))).join('')}${indent}</${name}>\n`;
}
