import type { Scene, ScenarioCheck } from '~~/core/checks/scenario/form';
import { scenarioMinutes, walk, WAYS_MOST } from '~~/core/checks/scenario/walk';
import { counted } from '~/words/states';

/** Points as they are read on a choice: with their sign. */
export const signed = (points: number): string => (points > 0 ? `+${points}` : points < 0 ? `\u2212${-points}` : '0');

/** What a scene is called where it is named: by its title, its first words, or its place. */
export function sceneName({ title, text }: Scene, at: number): string {
  const start = text.split(/\s+/).slice(0, 6).join(' ');
  return title || (start ? `${start}${start.length < text.length ? '\u2026' : ''}` : `Scene ${at + 1}`);
}

/** Its size in short: scenes, minutes on its longest way, points, ways. */
export function storyFigures({ scenes }: ScenarioCheck): string {
  const found = walk(scenes);
  const ways = found.ways >= WAYS_MOST ? 'more than a million ways' : counted(found.ways, ['way', 'ways']);
  return [
    counted(scenes.length, ['scene', 'scenes']),
    `${scenarioMinutes(scenes, found)} min`,
    ...(found.best ? [`${counted(found.best.score, ['point', 'points'])} at best`] : []),
    `${ways} through`,
  ].join(', ');
}
