import { ID_PATTERN } from '../../id';
import { object, string } from '../../shape';
import type { BlockKind } from '../kind';

/** The place of a check in a lesson. */
export interface CheckBody {
  checkId: string;
}

export const check: BlockKind<CheckBody> = {
  body: object({ checkId: string({ pattern: ID_PATTERN }) }),
  texts: () => [],
  mapTexts: (body) => body,
};
