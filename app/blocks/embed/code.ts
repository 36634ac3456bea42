import type { EmbedBody } from '~~/core/blocks/embed/form';

/** Embed code is a few hundred signs; what is much longer is something else. */
const MOST = 20_000;
const lengthOf = (value: string | null): number | undefined => {
  const found = /^\s*(\d{1,5})(px)?\s*$/.exec(value ?? '');
  return found && Number(found[1]) > 0 && Number(found[1]) <= 10_000 ? Number(found[1]) : undefined;
};

/**
 * What somebody pasted to show a page of the web: its address, or a site's embed code, of which only the address, the
 * title and the shape are taken; whatever else the code would do is left behind. Undefined where it is neither.
 */
export function readEmbed(pasted: string): (Partial<EmbedBody> & Pick<EmbedBody, 'address'>) | undefined {
  const text = pasted.trim();
  if (/^https:\/\/\S+$/.test(text)) return { address: text };
  if (text.length > MOST || !/<iframe\b/i.test(text)) return undefined;
  // A document made this way runs nothing and loads nothing.
  const frame = new DOMParser().parseFromString(text, 'text/html').querySelector('iframe');
  const source = frame?.getAttribute('src')?.trim() ?? '';
  const address = source.startsWith('//') ? `https:${source}` : source;
  if (!frame || !/^https:\/\/\S+$/.test(address)) return undefined;
  const title = frame.getAttribute('title')?.trim().slice(0, 300);
  const [width, height] = [lengthOf(frame.getAttribute('width')), lengthOf(frame.getAttribute('height'))];
  return { address, ...(title && { title }), ...(width && height && { width, height }) };
}
