import { object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** Text to be kept as it stands, spaces and all. */
export interface CodeBody {
  code: string;
}

export const code: BlockForm<CodeBody> = {
  body: object({ code: string({ min: 1 }) }),
  texts: () => [],
  mapTexts: (body) => body,
  mapPlain: (body, change) => ({ code: change(body.code) }),
  text: (body) => body.code,
  study: { entries: (body) => body.code.split('\n').length, most: 25, minutes: 0.08 },
  evidence: 'block',
};
