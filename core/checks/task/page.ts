import { escape } from '../../document/html';
import { whyHtml, type CheckPage } from '../page';
import type { TaskCheck } from './form';

/** A task as its author prints it: the situation, what it is held against with its levels, a good answer. */
export const task: CheckPage<TaskCheck> = (check, view) => {
  const { setting, criteria, model, quotes } = check;
  const rows = criteria.map(({ text, levels }) => {
    const said = levels.map((level) => `<li>${escape(level.text)} <small>${level.points}</small></li>`);
    return `<li>${escape(text)}<ul>${said.join('')}</ul></li>`;
  });
  return [
    setting ? `<p>${escape(setting)}</p>` : '',
    rows.length > 0 ? `<ol>${rows.join('')}</ol>` : '',
    model ? `<p class="right">${escape(model)} ✓</p>` : '',
    whyHtml([...quotes, ...criteria.flatMap((each) => each.quotes)], check, view),
  ].join('');
};
