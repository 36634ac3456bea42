import type { CheckLint } from '../lint';
import { optionFlaws } from '../option-lint';
import type { ChoiceCheck } from './form';

export const choice: CheckLint<ChoiceCheck> = (check, tools) => optionFlaws(check, [check.key], tools);
