import type { SurveyItemKind } from '~~/core/blocks/survey/form';
import type { SurveyMoment } from '~~/core/course/surveys';

/** What kinds of questions a feedback form has, as its author chooses them. */
export const ITEM_LABELS: Record<SurveyItemKind, string> = {
  rating: 'Points',
  scale: 'Named steps',
  choice: 'One of several',
  several: 'Any of several',
  number: 'A number',
  text: 'Words',
};

/** What a form can be drafted for. */
export const MOMENT_LABELS: Record<SurveyMoment, string> = {
  before: 'Before they begin',
  between: 'On the way',
  end: 'At the end',
};

/** The same as a lesson that is made for it. */
export const FORM_LABELS: Record<SurveyMoment, string> = {
  before: 'A feedback form before they begin',
  between: 'A feedback form on the way, below this row',
  end: 'A feedback form at the end',
};
