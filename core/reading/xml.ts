import { DOMParser } from 'linkedom';
import { fail } from '../document/problem';
import { textOf, type Entries } from './zip';

/** An XML part of a zip as a tree; undefined when the zip has no such part. Entities of its own are refused. */
export function xmlOf(entries: Entries, name: string): Element | undefined {
  const text = textOf(entries, name);
  if (text === undefined) return undefined;
  const root = (new DOMParser().parseFromString(text, 'text/xml') as unknown as Document).documentElement;
  return root ?? fail('broken', undefined, name);
}

/** Descendants with a prefixed name ("a:p"), in document order. */
export function all(element: Element, name: string): Element[] {
  return [...element.getElementsByTagName(name)];
}

/** The first descendant with a prefixed name. */
export function first(element: Element | undefined, name: string): Element | undefined {
  return element?.getElementsByTagName(name)[0];
}

/** The nearest element around an element with a prefixed name. */
export function above(element: Element, name: string): Element | undefined {
  for (let node = element.parentElement; node; node = node.parentElement) if (node.tagName === name) return node;
  return undefined;
}

/** Children with a prefixed name. */
export function childrenNamed(element: Element, name: string): Element[] {
  return [...element.children].filter((child) => child.tagName === name);
}

/** Targets of a part's relations by id, as names of entries. */
export function relations(entries: Entries, part: string): Map<string, { type: string; target: string }> {
  const at = part.lastIndexOf('/');
  const root = xmlOf(entries, `${part.slice(0, at + 1)}_rels/${part.slice(at + 1)}.rels`);
  return new Map(
    (root ? all(root, 'Relationship') : [])
      .filter((relation) => relation.getAttribute('TargetMode') !== 'External')
      .map((relation) => [
        relation.getAttribute('Id') ?? '',
        {
          type: (relation.getAttribute('Type') ?? '').split('/').pop() ?? '',
          target: resolved(part, relation.getAttribute('Target') ?? ''),
        },
      ]),
  );
}

function resolved(part: string, target: string): string {
  const parts = target.startsWith('/') ? [] : part.split('/').slice(0, -1);
  for (const step of target.split('/')) {
    if (step === '..') parts.pop();
    else if (step && step !== '.') parts.push(step);
  }
  return parts.join('/');
}
