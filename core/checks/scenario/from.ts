import type { Check } from '../forms';
import type { Option } from '../options';
import type { Scene, ScenarioCheck, SceneChoice } from './form';

/** Points of a scene's choices that are made of answers. */
const POINTS = { right: 2, wrong: 0 };

/** What can be made a scene of: a question in which one or several answers are chosen. */
export const canBeScene = (check: Check): boolean => check.kind === 'choice' || check.kind === 'several';

/**
 * A question's answers as a scene: what is asked is what happens, each answer a choice with what is said to it and the
 * passages behind it; from a wrong one it is decided again. `id` gives ids by their letter.
 */
export function sceneOf(check: Check, id: (letter: string) => string): Scene | undefined {
  if (check.kind !== 'choice' && check.kind !== 'several') return undefined;
  const keys = check.kind === 'choice' ? [check.key] : check.keys;
  const own = id('s');
  return {
    id: own,
    title: '',
    text: check.stem,
    choices: check.options.map((option): SceneChoice => {
      const isRight = keys.includes(option.id);
      return {
        id: id('a'),
        text: option.text,
        score: isRight ? POINTS.right : POINTS.wrong,
        follows: saidTo(option),
        quotes: option.feedback.quotes,
        ...(!isRight && { to: own }),
      };
    }),
    ...(check.picture && { picture: check.picture }),
  };
}

/**
 * A scenario that begins with a question as its first scene: a check of its own beside it, with its evidence; the
 * question stays as it is. `title`: what it is called.
 */
export function scenarioOf(check: Check, title: string, id: (letter: string) => string): ScenarioCheck | undefined {
  const scene = sceneOf(check, id);
  if (!scene) return undefined;
  const { lessonId, objectiveId, evidence } = check;
  return {
    id: id('k'),
    lessonId,
    kind: 'scenario',
    stem: title,
    evidence,
    level: 'decide',
    difficulty: check.difficulty,
    ...(objectiveId && { objectiveId }),
    role: '',
    scenes: [scene],
  };
}

/** What follows an answer: its author's words, else what the sources say to it. */
const saidTo = ({ feedback: { text, quotes } }: Option): string => text ?? quotes.map((quote) => quote.text).join(' ');
