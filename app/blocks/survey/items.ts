import { optionsOf, type SurveyItem, type SurveyItemKind, type SurveyOption } from '~~/core/blocks/survey/form';

/** Words of a new question and of its options, to be written over. */
export const NEW_QUESTION = 'A question';
const NEW_OPTIONS = ['One answer', 'Another answer'];
const NEW_STEPS = ['Not at all', 'A little', 'Fairly', 'Completely'];

const freshOptions = (texts: readonly string[], id: () => string): SurveyOption[] =>
  texts.map((text) => ({ id: id(), text }));

/** A question as one of another kind: its words stay, and its options where both kinds have such. */
export function asKind(item: Pick<SurveyItem, 'id' | 'text' | 'required'>, kind: SurveyItemKind, id: () => string) {
  const { id: own, text, required } = item;
  const frame = { id: own, text, ...(required && { required }) };
  const options = optionsOf(item as SurveyItem);
  const chosen = (texts: readonly string[]) => (options.length > 0 ? options : freshOptions(texts, id));
  const made: { [Kind in SurveyItemKind]: () => SurveyItem } = {
    rating: () => ({ ...frame, kind: 'rating', of: 5 }),
    scale: () => ({ ...frame, kind: 'scale', options: chosen(NEW_STEPS) }),
    choice: () => ({ ...frame, kind: 'choice', options: chosen(NEW_OPTIONS) }),
    several: () => ({ ...frame, kind: 'several', options: chosen(NEW_OPTIONS) }),
    number: () => ({ ...frame, kind: 'number' }),
    text: () => ({ ...frame, kind: 'text' }),
  };
  return made[kind]();
}
