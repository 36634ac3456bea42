import { REFUSALS, type AskingForm, type Refusal } from '~~/core/checks/check';
import type { Check } from '~~/core/checks/forms';

/** What each form of asking asks for. */
export const FORM_WORDS: Record<AskingForm, string> = {
  condition: 'what to do in a case',
  term: 'which term',
  number: 'which figure',
  lookup: 'what a row says',
  pairs: 'what belongs together',
  band: 'which band a figure falls into',
  step: 'what comes next',
  sequence: 'in which order',
  groups: 'what is done and what is not',
  prohibition: 'what must not be done',
  permission: 'allowed or not',
  instead: 'this, and not that',
  answer: 'what is answered to it',
  named: 'of which something is said',
  practice: 'a task to be done and handed in',
  decision: 'one decision after another',
};

/** Why a question is refused. */
export const REFUSAL_WORDS: Record<Refusal, string> = {
  aside: 'beside the point',
  given: 'gives itself away',
  wrong: 'not right',
  easy: 'too easy',
  twice: 'asked already',
  form: 'not this kind of question',
  other: 'for another reason',
};

/** What follows of a reason, where more follows than that the question is not offered again. */
export const REFUSAL_FOLLOWS: Partial<Record<Refusal, string>> = {
  aside: 'its lesson asks nothing more of this passage',
  form: 'this course is offered no more of them',
};
export const refusals = REFUSALS.map((value) => ({ value, label: REFUSAL_WORDS[value] }));

const REASONS: Record<string, string> = {
  limit: 'a limit or deadline',
  amount: 'an amount',
  'weaker-form': 'asks what not to do',
  'less-sure': 'less sure to be good',
};

/** How the engine came to a question. */
export const becauseOf = ({ drafted }: Check): string =>
  drafted
    ? [
        FORM_WORDS[drafted.form],
        ...drafted.reasons.map(
          (reason) =>
            REASONS[reason] ??
            (reason.startsWith('wrong-answers:') ? `${reason.slice(14)} wrong answers from your sources` : ''),
        ),
      ]
        .filter(Boolean)
        .join(', ')
    : 'written by hand';
