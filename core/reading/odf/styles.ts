import { all, childrenNamed, first } from '../xml';

/** What a style of an OpenDocument file says that matters here. */
export interface Look {
  strong: boolean;
  emphasis: boolean;
  /** The named style it comes from, such as "Quotations". */
  name: string;
}

/** Styles of a file by name, and whether a list style numbers a level. */
export interface Styles {
  look(name: string | null): Look;
  isOrdered(list: string | null, depth: number): boolean;
}

const PLAIN: Look = { strong: false, emphasis: false, name: '' };

/** Reads the automatic styles of the content and the named ones of the file. */
export function readStyles(parts: readonly (Element | undefined)[]): Styles {
  const styles = new Map<string, Element>();
  const lists = new Map<string, Element>();
  for (const part of parts) {
    if (!part) continue;
    for (const style of all(part, 'style:style')) styles.set(style.getAttribute('style:name') ?? '', style);
    for (const list of all(part, 'text:list-style')) lists.set(list.getAttribute('style:name') ?? '', list);
  }
  const known = new Map<string, Look>();
  function look(name: string | null, depth = 0): Look {
    if (!name) return PLAIN;
    const found = known.get(name);
    if (found) return found;
    const style = styles.get(name);
    const parent = style?.getAttribute('style:parent-style-name') ?? null;
    const above = parent && depth < 20 ? look(parent, depth + 1) : PLAIN;
    const text = style && first(style, 'style:text-properties');
    const said = (key: string, value: RegExp, otherwise: boolean) =>
      text?.hasAttribute(key) ? value.test(text.getAttribute(key)!) : otherwise;
    // Automatic styles (P1, T4) are named by what they come from.
    const automatic = /^[A-Z]{1,2}\d+$/.test(name) && parent;
    const made = {
      strong: said('fo:font-weight', /bold|[6-9]00/, above.strong),
      emphasis: said('fo:font-style', /italic|oblique/, above.emphasis),
      name: automatic ? above.name || parent : name,
    };
    known.set(name, made);
    return made;
  }
  return {
    look,
    isOrdered(list, depth) {
      const style = list ? lists.get(list) : undefined;
      return (
        style !== undefined &&
        childrenNamed(style, 'text:list-level-style-number').some(
          (level) =>
            Number(level.getAttribute('text:level')) === depth + 1 &&
            (level.getAttribute('style:num-format') ?? '') !== '',
        )
      );
    },
  };
}
