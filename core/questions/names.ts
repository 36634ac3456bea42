import type { Element } from '../document/xml';

/** The versions of QTI that are written; both are read. */
export const QTI_VERSIONS = ['2.1', '3.0'] as const;
export type QtiVersion = (typeof QTI_VERSIONS)[number];

/** Files of questions that are written, by the name of their format. */
export const QUESTION_FORMATS = { qti21: '2.1', qti30: '3.0' } as const satisfies Record<string, QtiVersion>;
export type QuestionFormat = keyof typeof QUESTION_FORMATS;

/** Where each version's names live, and what a package calls its parts. */
export const NAMES: Record<
  QtiVersion,
  { space: string; schema: string; manifest: string; label: string; version: string; item: string; test: string }
> = {
  '2.1': {
    space: 'http://www.imsglobal.org/xsd/imsqti_v2p1',
    schema: 'http://www.imsglobal.org/xsd/qti/qtiv2p1/imsqti_v2p1.xsd',
    manifest: 'http://www.imsglobal.org/xsd/imscp_v1p1',
    label: 'QTIv2.1 Package',
    version: '1.0.0',
    item: 'imsqti_item_xmlv2p1',
    test: 'imsqti_test_xmlv2p1',
  },
  '3.0': {
    space: 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0',
    schema: 'https://purl.imsglobal.org/spec/qti/v3p0/schema/xsd/imsqti_asiv3p0_v1p0.xsd',
    manifest: 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1',
    label: 'QTI Package',
    version: '3.0.0',
    item: 'imsqti_item_xmlv3p0',
    test: 'imsqti_test_xmlv3p0',
  },
};

const camel = (name: string): string => name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase());

/**
 * An element of QTI 3 by the names of 2.1: without `qti-`, in camel case. What 3 wraps in a body of its own stands bare
 * in 2.1.
 */
export function inVersion2(node: Element): Element {
  const children = (node.children ?? []).flatMap((child): (Element | string)[] => {
    if (typeof child === 'string') return [child];
    const inner = inVersion2(child);
    return child.name === 'qti-content-body' ? [...(inner.children ?? [])] : [inner];
  });
  // What a rubric is for is said from 3 on.
  const known = Object.entries(node.attributes ?? {}).filter(
    ([name]) => !(node.name === 'qti-rubric-block' && name === 'use'),
  );
  const attributes = known.map(([name, value]): [string, string] => [
    /^(xml|xsi)/.test(name) ? name : camel(name),
    value,
  ]);
  return {
    name: node.name.startsWith('qti-') ? camel(node.name.slice(4)) : node.name,
    attributes: Object.fromEntries(attributes),
    children,
  };
}

/** A name of either version as in QTI 3, without `qti-`. */
export const inVersion3 = (name: string): string =>
  name
    .replace(/^[\w-]+:/, '')
    .replace(/^qti-/, '')
    .replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
