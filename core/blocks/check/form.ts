import { ID_PATTERN } from '../../document/id';
import { object, string } from '../../document/shape';
import type { BlockForm } from '../form';

/** The place of a check in a lesson. */
export interface CheckBody {
  checkId: string;
}

export const check: BlockForm<CheckBody> = {
  body: object({ checkId: string({ pattern: ID_PATTERN }) }),
  texts: () => [],
  mapTexts: (body) => body,
  text: () => '',
  evidence: 'none',
  check: (body) => body.checkId,
};
