/** Elements that say nothing to a reader, or that only programs read. */
const NOTHING = 'script, style, meta, link, title, xml, noscript, template, svg, iframe, object, embed, form';
/** Elements by which word processors mark deleted words and remarks. */
const STRUCK = 'del, s, strike';

/**
 * What was copied from a word processor or a web page, without what is not words: code, style, deleted text, what is
 * hidden; paragraphs that a word processor draws as lists become lists, at their depth.
 */
export function cleanHtml(html: string): string {
  // What was copied on a page of ours is as it should be.
  if (html.includes('data-pm-slice')) return html;
  const page = new DOMParser().parseFromString(html, 'text/html');
  const { body } = page;
  body.querySelectorAll(`${NOTHING}, ${STRUCK}`).forEach((each) => each.remove());
  body.querySelectorAll<HTMLElement>('[style]').forEach((each) => {
    const style = styleOf(each);
    if (/(^|;)(display:none|mso-hide:all|visibility:hidden)/.test(style)) return each.remove();
    // Bold and italics that are only styled are said by elements, which the page knows.
    if (/^(b|strong)$/i.test(each.tagName) && /font-weight:(normal|400)/.test(style)) return unwrap(each);
    if (each.tagName !== 'SPAN') return;
    if (/font-weight:(bold|[6-9]00)/.test(style)) wrapIn(each, page.createElement('strong'));
    if (/font-style:italic/.test(style)) wrapIn(each, page.createElement('em'));
  });
  drawnLists(page);
  // Empty paragraphs were there for the space.
  body.querySelectorAll('p, div').forEach((each) => {
    if (!each.textContent?.trim() && !each.querySelector('img, table')) each.remove();
  });
  return body.innerHTML;
}

const styleOf = (element: Element): string => (element.getAttribute('style') ?? '').replace(/\s+/g, '').toLowerCase();

function unwrap(element: Element): void {
  element.replaceWith(...element.childNodes);
}

function wrapIn(element: Element, outer: Element): void {
  outer.append(...element.childNodes);
  element.append(outer);
}

/** How deep a paragraph that is drawn as an item lies, from 0; undefined where it is none. */
function drawnDepth(element: Element): number | undefined {
  const level = /mso-list:l\d+level(\d)/.exec(styleOf(element));
  if (level) return Number(level[1]) - 1;
  return /\bMsoListParagraph/.test(element.className) && MARK.test(element.textContent ?? '') ? 0 : undefined;
}

const MARK = /^\s*(?:[\u00b7\u2022\u25aa\u25cf\u25e6\u2013o\uf0a7\uf0b7-]|(\d{1,3}|[a-z])[.)])\s+/;

/** Neighbouring paragraphs that are drawn as items, as lists. */
function drawnLists(page: Document): void {
  for (const first of [...page.body.querySelectorAll('p')]) {
    if (!first.isConnected || drawnDepth(first) === undefined) continue;
    const run: { element: Element; depth: number }[] = [];
    for (let next: Element | null = first; next; next = next.nextElementSibling) {
      const depth = drawnDepth(next);
      if (depth === undefined) break;
      run.push({ element: next, depth });
    }
    const lists: HTMLElement[] = [];
    for (const { element, depth } of run) {
      const ordered = takeMark(element);
      lists.length = Math.min(lists.length, depth + 1);
      while (lists.length <= depth) {
        const list = page.createElement(ordered ? 'ol' : 'ul');
        const outer = lists.at(-1);
        if (!outer) first.before(list);
        else (outer.lastElementChild ?? outer.appendChild(page.createElement('li'))).append(list);
        lists.push(list);
      }
      const item = page.createElement('li');
      item.append(...element.childNodes);
      lists.at(-1)!.append(item);
    }
    run.forEach(({ element }) => element.remove());
  }
}

/** Takes the drawn mark off an item; whether it was a number. */
function takeMark(element: Element): boolean {
  const ignored = [...element.querySelectorAll('span')].find((each) => styleOf(each).includes('mso-list:ignore'));
  if (ignored) {
    const ordered = /\d|^[a-z][.)]/.test(ignored.textContent?.trim() ?? '');
    ignored.remove();
    return ordered;
  }
  const found = MARK.exec(element.textContent ?? '');
  let rest = found?.[0].length ?? 0;
  const walk = element.ownerDocument.createTreeWalker(element, 4);
  while (rest > 0 && walk.nextNode()) {
    const words = walk.currentNode.nodeValue ?? '';
    walk.currentNode.nodeValue = words.slice(rest);
    rest -= Math.min(rest, words.length);
  }
  return found?.[1] !== undefined;
}
