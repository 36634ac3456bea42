import type { CheckFrame } from '../core/checks/check';
import { idFrom } from '../core/document/id';

/** The lesson that asks; what stands behind it goes by its id. */
export const ASKING_LESSON = idFrom('l', 'demo', 'alone');

/** What every question of that lesson has. */
export const frame = (name: string, stem: string, more: Partial<CheckFrame> = {}): CheckFrame => ({
  id: idFrom('k', 'demo', 'alone', name),
  lessonId: ASKING_LESSON,
  stem,
  evidence: [],
  level: 'apply',
  difficulty: 0.4,
  ...more,
});
