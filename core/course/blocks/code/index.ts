import { object, string } from '../../shape';
import type { BlockKind } from '../kind';

/** Text to be kept as it stands, spaces and all. */
export interface CodeBody {
  code: string;
}

export const code: BlockKind<CodeBody> = {
  body: object({ code: string({ min: 1 }) }),
  texts: () => [],
  mapTexts: (body) => body,
  evidenceOnBlock: true,
};
