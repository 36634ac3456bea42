import { list, number, object, string } from '../../document/shape';
import { idShape, pictureShape, quoteShape, type CheckFrame, type CheckPicture, type Quote } from '../check';
import type { CheckForm } from '../form';
import { line } from '../options';

/** What can be done in a scene, and where it leads. */
export interface SceneChoice {
  id: string;
  text: string;
  /** The scene it leads to; its own or an earlier one is a point to decide again from. Absent: the story ends. */
  to?: string;
  /** Points it adds, or takes off. */
  score: number;
  /** What happens then. */
  follows: string;
  /** What the sources say to it. */
  quotes: Quote[];
}

/** A moment of a story. One without choices is an end. */
export interface Scene {
  id: string;
  /** Its name on the trail, for its author and in the looking back. */
  title: string;
  text: string;
  choices: SceneChoice[];
  picture?: CheckPicture;
}

/**
 * A decision that feels real: a story that goes on by what is chosen. Its stem is what it is called, its first scene
 * where it begins.
 */
export interface ScenarioCheck extends CheckFrame {
  kind: 'scenario';
  /** Who the learner is in it, and what they may decide; may be empty. */
  role: string;
  scenes: Scene[];
  /** What its author says when it is over, however it ended. */
  debrief?: string;
}

/** Points of a choice. */
export const SCORES = { min: -10, max: 10, whole: true };
export const SCENES_MOST = 200;
export const CHOICES_MOST = 12;

const choiceShape = object(
  {
    id: idShape,
    text: string({ min: 1, max: 1000 }),
    score: number(SCORES),
    follows: string({ max: 4000 }),
    quotes: list(quoteShape),
  },
  { to: idShape },
);
const sceneShape = object(
  {
    id: idShape,
    title: string({ max: 200 }),
    text: string({ max: 8000 }),
    choices: list(choiceShape, { max: CHOICES_MOST }),
  },
  { picture: pictureShape },
);

export const scenario: CheckForm<ScenarioCheck> = {
  fields: {
    required: { role: string({ max: 2000 }), scenes: list(sceneShape, { min: 1, max: SCENES_MOST }) },
    optional: { debrief: string({ min: 1, max: 4000 }) },
  },
  standsAlone: true,
  problems({ scenes }) {
    const ids = scenes.flatMap(({ id, choices }) => [id, ...choices.map((choice) => choice.id)]);
    const known = new Set(scenes.map(({ id }) => id));
    const isLost = scenes.some(({ choices }) => choices.some(({ to }) => to !== undefined && !known.has(to)));
    return [
      ...(new Set(ids).size < ids.length ? ['id-twice' as const] : []),
      ...(isLost ? ['no-such-scene' as const] : []),
    ];
  },
  reworded: ({ role, scenes, debrief }, change) => ({
    role: role && change(role),
    scenes: scenes.map((scene) => ({
      ...scene,
      title: scene.title && change(scene.title),
      text: scene.text && change(scene.text),
      ...(scene.picture?.alt && { picture: { ...scene.picture, alt: change(scene.picture.alt) } }),
      choices: scene.choices.map((choice) => ({
        ...choice,
        text: change(choice.text),
        follows: choice.follows && change(choice.follows),
      })),
    })),
    ...(debrief && { debrief: change(debrief) }),
  }),
  text: ({ stem, role, scenes, debrief }) =>
    [
      stem,
      role,
      ...scenes.flatMap(({ title, text, choices }) => {
        const best = Math.max(...choices.map(({ score }) => score));
        return [
          title,
          text,
          ...choices.map((choice) =>
            line(choice.score === best, [choice.text, choice.follows].filter(Boolean).join(' / ')),
          ),
        ];
      }),
      debrief ?? '',
    ]
      .filter(Boolean)
      .join('\n'),
};
