import type { CheckKind } from '~~/core/checks/forms';
import type { LeftCode } from '~~/core/questions/given';

/** Why a question that was brought along could not be taken. */
export const LEFT_WORDS: Record<LeftCode, string> = {
  'no-key': 'It does not say what is right.',
  'key-unknown': 'What it says is right is none of its answers.',
  'too-few-answers': 'It has fewer than two answers.',
  'kind-unknown': 'It is of a kind that there is none of here.',
  'no-question': 'Nothing is asked. A table needs a heading “Question”.',
  'picture-left': 'Taken, without its picture.',
  broken: 'It cannot be read.',
};

/** What a kind of check is called in a list. */
export const KIND_WORDS: Record<CheckKind, string> = {
  choice: 'one right',
  several: 'several right',
  truth: 'true or false',
  order: 'order',
  match: 'pairs',
  sort: 'groups',
  number: 'number',
  short: 'short answer',
  open: 'open answer',
  area: 'in a picture',
  scenario: 'scenario',
  task: 'practice task',
};
