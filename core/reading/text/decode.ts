import { fail } from '../../document/problem';
import { LIMITS } from '../limits';

/**
 * Text out of bytes: UTF-8 or UTF-16 by its mark, UTF-8 where it is valid, else Windows-1252 with a notice.
 * Throws `not-text` when bytes are no text at all, `too-much-text`.
 */
export function decodeText(bytes: Uint8Array): { text: string; notices: { code: string }[] } {
  const notices: { code: string }[] = [];
  let text: string;
  if (bytes[0] === 0xff && bytes[1] === 0xfe) text = new TextDecoder('utf-16le').decode(bytes);
  else if (bytes[0] === 0xfe && bytes[1] === 0xff) text = new TextDecoder('utf-16be').decode(bytes);
  else {
    try {
      text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    } catch {
      text = new TextDecoder('windows-1252').decode(bytes);
      notices.push({ code: 'encoding-guessed' });
    }
  }
  text = text.replace(/^\ufeff/, '').replace(/\r\n?/g, '\n');
  // eslint-disable-next-line no-control-regex
  const controls = text.slice(0, 20_000).match(/[\u0000-\u0008\u000e-\u001a]/g)?.length ?? 0;
  if (controls > Math.min(text.length, 20_000) * 0.1) fail('not-text');
  if (text.length > LIMITS.characters) fail('too-much-text', { millions: LIMITS.characters / 1_000_000 });
  return { text, notices };
}
