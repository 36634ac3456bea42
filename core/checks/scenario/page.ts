import { pictureHtml } from '../../blocks/picture/page';
import { escape } from '../../document/html';
import { whyHtml, type CheckPage } from '../page';
import type { ScenarioCheck } from './form';
import { walk } from './walk';

/** A story as its author prints it: scene after scene, each choice with where it leads and its points. */
export const scenario: CheckPage<ScenarioCheck> = (check, view) => {
  const { role, scenes, debrief } = check;
  const best = new Set(walk(scenes).best?.choices);
  const numbers = new Map(scenes.map(({ id }, at) => [id, at + 1]));
  const choice = (each: (typeof scenes)[number]['choices'][number]) => {
    const leads = each.to === undefined ? '■' : `→ ${numbers.get(each.to)}`;
    const points = each.score > 0 ? `+${each.score}` : String(each.score);
    const follows = each.follows ? `<br><em>${escape(each.follows)}</em>` : '';
    const mark = best.has(each.id) ? ' class="right"' : '';
    return `<li${mark}>${escape(each.text)}${best.has(each.id) ? ' ✓' : ''} <small>${leads}, ${points}</small>${follows}</li>`;
  };
  const told = scenes.map(({ id, title, text, choices, picture }) => {
    const shown = picture ? pictureHtml(picture, view) : '';
    const list = choices.length > 0 ? `<ul>${choices.map(choice).join('')}</ul>` : '';
    return `<p><strong>${numbers.get(id)}. ${escape(title)}</strong></p>${shown}<p>${escape(text)}</p>${list}`;
  });
  const quotes = scenes.flatMap(({ choices }) => choices.flatMap((each) => each.quotes));
  return [
    role ? `<p>${escape(role)}</p>` : '',
    ...told,
    debrief ? `<p>${escape(debrief)}</p>` : '',
    whyHtml(
      quotes.filter((quote, at) => quotes.findIndex(({ text }) => text === quote.text) === at),
      check,
      view,
    ),
  ].join('');
};
