import { anyOf } from '../../../language/phrases';
import { asOption } from '../form';
import { ofHeaded } from '../headed';

/** A page of questions or troubles: what is answered to one, among what is answered to others beside it. */
export const answerQuestions = ofHeaded({
  how: 'asks',
  form: 'answer',
  stem: ({ title }, { pack }) => pack.questions?.answerTo?.(title.trim()),
  answer: ({ said }) => (LEADS_AWAY.test(said) ? undefined : asOption(said)),
  level: 'apply',
  score: 0.74,
});

/**
 * Told further what the heading tells ("It just says …"), or sent elsewhere: no answer. Other pronouns are of what is
 * asked, for nothing else stands before the first sentence.
 */
const LEADS_AWAY = new RegExp(
  String.raw`^(?:it|they|he|she)\b|\b${anyOf`see | above | below | section | chapter | (?:the )?following | as follows`}\b`,
  'i',
);
