import { richText, textOf, type RichText } from '../../document/rich-text';
import { number, object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/**
 * A page of the web shown within the lesson: loaded when the learner asks for it, shut off from everything around it,
 * and only from sites that whoever runs the installation allows; otherwise it is a link.
 */
export interface EmbedBody {
  /** Empty until it is given. */
  address: string;
  /** What it is, as its button says it. */
  title: string;
  /** Its shape, as its own code gives it; 16 to 9 where nothing is said. */
  width?: number;
  height?: number;
  caption: RichText;
}

const side = number({ min: 1, max: 10_000, whole: true });
const MINUTES_LOOKED = 1;

export const embed: BlockForm<EmbedBody> = {
  body: object(
    {
      address: string({ pattern: /^(https:\/\/\S+)?$/, max: 2000 }),
      title: string({ min: 1, max: 300 }),
      caption: richText,
    },
    { width: side, height: side },
  ),
  texts: (body) => [body.caption],
  mapTexts: (body, change) => ({ ...body, caption: change(body.caption) }),
  plain: ({ title }) => [title],
  mapPlain: (body, change) => ({ ...body, title: change(body.title) }),
  text: ({ title, caption }) => [title, textOf(caption)].filter(Boolean).join('\n'),
  study: { entries: () => 1, most: 1, minutes: MINUTES_LOOKED },
  framed: true,
};

/** The host of an address, in small letters; empty where it has none. */
export function hostOf(address: string): string {
  try {
    return new URL(address).hostname.toLowerCase();
  } catch {
    return '';
  }
}

/** Whether a page may be shown: its host is one of those allowed, or lies below one. */
export function mayEmbed(address: string, allowed: readonly string[]): boolean {
  const host = hostOf(address);
  return host !== '' && allowed.some((each) => host === each || host.endsWith(`.${each}`));
}
