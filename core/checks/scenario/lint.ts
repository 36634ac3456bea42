import { sameTexts, type CheckLint, type Flaw } from '../lint';
import type { ScenarioCheck } from './form';
import { walk } from './walk';

/**
 * Flaws of a story, each at its scene or choice: a scene that cannot be come to; one from which no way ends; a choice
 * after which nothing is told; a scene with a single choice, or with choices of one worth, or that say the same; a
 * scene without words; a way back that earns points.
 */
export const scenario: CheckLint<ScenarioCheck> = ({ scenes }, tools) => {
  const { reached, ending, again } = walk(scenes);
  return scenes.flatMap(({ id, text, choices }): Flaw[] => {
    const met = reached.has(id);
    const twice = sameTexts(
      choices.map((choice) => choice.text),
      tools,
    );
    const scores = new Set(choices.map(({ score }) => score));
    return [
      ...(met ? [] : [{ code: 'not-reached' as const, at: id }]),
      ...(met && !ending.has(id) ? [{ code: 'no-end' as const, at: id }] : []),
      ...(text.trim() === '' ? [{ code: 'no-scene' as const, at: id }] : []),
      ...(choices.length === 1 ? [{ code: 'no-choice' as const, at: id }] : []),
      ...(choices.length > 1 && scores.size === 1 ? [{ code: 'all-same-worth' as const, at: id }] : []),
      ...twice.map(([, at]) => ({ code: 'alike' as const, at: choices[at].id })),
      ...choices.flatMap((choice): Flaw[] => [
        ...(choice.follows.trim() === '' ? [{ code: 'nothing-follows' as const, at: choice.id }] : []),
        ...(again.has(choice.id) && choice.score > 0 ? [{ code: 'earns-again' as const, at: choice.id }] : []),
      ]),
    ];
  });
};
