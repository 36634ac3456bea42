import { anyOf } from '../../language/phrases';

/** How the walker treats elements. Everything not named here runs inline. */

export const BLOCKS = new Set([
  'address',
  'article',
  'aside',
  'blockquote',
  'body',
  'caption',
  'center',
  'dd',
  'details',
  'dir',
  'div',
  'dl',
  'dt',
  'fieldset',
  'figcaption',
  'figure',
  'footer',
  'form',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'header',
  'hr',
  'html',
  'li',
  'main',
  'menu',
  'nav',
  'ol',
  'p',
  'pre',
  'section',
  'summary',
  'table',
  'tbody',
  'td',
  'tfoot',
  'th',
  'thead',
  'tr',
  'ul',
]);

const SKIPPED = new Set([
  'head',
  'script',
  'style',
  'noscript',
  'template',
  'nav',
  'svg',
  'math',
  'iframe',
  'object',
  'embed',
  'form',
  'button',
  'select',
  'input',
  'textarea',
  'audio',
  'video',
  'canvas',
  'map',
  'link',
  'meta',
  'base',
  'dialog',
  'rt',
  'rp',
]);

const FURNITURE = anyOf`
  docnav | nav | navbar | navigation | navheader | navfooter | breadcrumbs? | headerlink | toctree-wrapper | toc
  skip-?link | sr-only | visually-hidden | cookie\w* | related | sphinxsidebar | pagination | author | authors
  authorgroup | editor | othercredit | copyright | legalnotice | revhistory | pubdate | byline
`;
const FURNITURE_CLASS = new RegExp(String.raw`(^|[\s_-])(${FURNITURE})([\s_-]|$)`, 'i');
const FURNITURE_ROLE = new Set([
  'navigation',
  'search',
  'banner',
  'contentinfo',
  'doc-toc',
  'doc-index',
  'doc-backlink',
]);

export const MARKS: Record<string, 'strong' | 'emphasis' | 'code' | 'link'> = {
  strong: 'strong',
  b: 'strong',
  em: 'emphasis',
  i: 'emphasis',
  cite: 'emphasis',
  dfn: 'emphasis',
  var: 'emphasis',
  code: 'code',
  kbd: 'code',
  samp: 'code',
  tt: 'code',
  a: 'link',
};

/** Page furniture, hidden parts and everything that is not text to read. */
export function isSkipped(element: Element): boolean {
  const name = element.localName;
  if (SKIPPED.has(name)) return true;
  if (element.hasAttribute('hidden') || element.getAttribute('aria-hidden') === 'true') return true;
  if (FURNITURE_ROLE.has(element.getAttribute('role') ?? '')) return true;
  if (/(display\s*:\s*none|visibility\s*:\s*hidden)/i.test(element.getAttribute('style') ?? '')) return true;
  const classes = element.getAttribute('class') ?? '';
  // A word like "nav" on a link or heading inside prose says little; on a container it says furniture.
  if (classes && FURNITURE_CLASS.test(classes) && (BLOCKS.has(name) || classes.includes('headerlink'))) return true;
  return (
    (name === 'sup' || name === 'a') &&
    /footnote|noteref/i.test(`${classes} ${element.getAttribute('role') ?? ''}`) &&
    (element.textContent ?? '').trim().length <= 5
  );
}
