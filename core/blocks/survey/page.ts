import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import { optionsOf, type SurveyBody, type SurveyItem } from './form';

/** A feedback form as it is printed: nothing is taken on a page without a script. */
export const survey: BlockPage<SurveyBody> = ({ title, intro, items }, view) =>
  `<section class="up-survey"><p class="up-side">${escape(title)}</p>` +
  (intro ? `<p>${escape(intro)}</p>` : '') +
  `<ol>${items.map((item) => `<li>${escape(item.text)}${answersOf(item, view.words.survey.own)}</li>`).join('')}</ol></section>`;

function answersOf(item: SurveyItem, own: string): string {
  if (item.kind === 'rating') {
    const ends = [item.low ?? '', Array.from({ length: item.of }, (_, at) => at + 1).join(' '), item.high ?? ''];
    return `<br>${escape(ends.filter(Boolean).join(' '))}`;
  }
  if (item.kind === 'number' && item.unit) return `<br>${escape(item.unit)}`;
  const texts = [
    ...optionsOf(item).map(({ text }) => text),
    ...(item.kind === 'choice' || item.kind === 'several' ? (item.other ? [own] : []) : []),
  ];
  return texts.length > 0 ? `<ul>${texts.map((text) => `<li>${escape(text)}</li>`).join('')}</ul>` : '';
}
