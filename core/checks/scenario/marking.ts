import type { CheckPicture } from '../check';
import type { CheckMarking, StoryStep } from '../marking';
import { byLetters, mixed } from '../options';
import type { ScenarioCheck } from './form';
import { walk } from './walk';

/** A scene as a learner sees it: what can be done in it, in an order that says nothing. */
export interface SceneView {
  id: string;
  text: string;
  choices: { id: string; text: string }[];
  picture?: CheckPicture;
}

/** A story before it begins: nothing of what comes. */
export interface ScenarioView {
  role?: string;
  first: SceneView;
  /** Ids of all its choices in an order that says nothing: what a way is packed by. */
  ids: string[];
}

interface SecretChoice {
  /** Its id as its author has it: by which ways are told together. */
  own: string;
  to?: string;
  score: number;
  follows: string;
  quotes: string[];
}

export interface ScenarioSecret {
  first: string;
  scenes: Record<string, { title: string; seen: SceneView }>;
  choices: Record<string, SecretChoice>;
  /** The way that is worth most, and its points. */
  best: { choices: string[]; score: number };
  debrief?: string;
}

/** Bits of how many steps a way has, and of which choice each is. */
const BITS = { steps: 10, choice: 12 };
const MOST_STEPS = 2 ** BITS.steps - 1;

/**
 * The response is the way: the ids of what was chosen, from the first scene on. Until it comes to an end the story goes
 * on; each choice counts once, however often it is come by. A way is worth its share of the best one.
 */
export const scenario: CheckMarking<ScenarioCheck, ScenarioView, ScenarioSecret, string[]> = {
  view: ({ role, scenes }, mix) => ({
    ...(role && { role }),
    first: seen(scenes[0], mix),
    ids: scenes.flatMap(({ choices }) => choices.map(({ id }) => mix(id))).sort(byLetters),
  }),
  secret({ scenes, debrief }, mix) {
    const { best } = walk(scenes);
    return {
      first: mix(scenes[0].id),
      scenes: Object.fromEntries(
        scenes.map((scene) => [mix(scene.id), { title: scene.title, seen: seen(scene, mix) }]),
      ),
      choices: Object.fromEntries(
        scenes.flatMap(({ choices }) =>
          choices.map(({ id, to, score, follows, quotes }): [string, SecretChoice] => [
            mix(id),
            {
              own: id,
              ...(to !== undefined && { to: mix(to) }),
              score,
              follows,
              quotes: quotes.map(({ text }) => text),
            },
          ]),
        ),
      ),
      best: { choices: (best?.choices ?? []).map(mix), score: best?.score ?? 0 },
      ...(debrief && { debrief }),
    };
  },
  read(response, secret) {
    if (!Array.isArray(response) || response.length === 0 || response.length > MOST_STEPS) return undefined;
    if (!response.every((id) => typeof id === 'string')) return undefined;
    return gone(secret, response as string[]) ? (response as string[]) : undefined;
  },
  mark(secret, response) {
    const { steps, next } = gone(secret, response)!;
    const points = [...new Set(response)].reduce((sum, id) => sum + secret.choices[id].score, 0);
    const { best, debrief } = secret;
    if (next) {
      const feedback = { code: 'own' as const, quotes: [], story: { steps, next } };
      return { score: 0, state: 'going', feedback };
    }
    const share = best.score > 0 ? points / best.score : points >= best.score ? 1 : 0;
    const told = steps.map((step) => ({ ...step, worth: worthOf(secret, step) }));
    return {
      score: Math.min(1, Math.max(0, share)),
      state: 'marked',
      feedback: {
        code: share >= 1 ? 'right' : 'own',
        quotes: rulesMet(secret, steps),
        story: { steps: told, points, of: best.score, ...(debrief && { debrief }) },
      },
    };
  },
  goesOn: (before, response) => response.length > before.length && before.every((id, at) => response[at] === id),
  solution: (secret) => ({ response: secret.best.choices }),
  pack({ ids }, response, bits) {
    const places = response.map((id) => ids.indexOf(id));
    const fits = places.every((place) => place >= 0 && place < 2 ** BITS.choice);
    bits.put(fits ? places.length : 0, BITS.steps);
    if (fits) for (const place of places) bits.put(place, BITS.choice);
  },
  unpack({ ids }, bits) {
    const way = Array.from({ length: bits(BITS.steps) }, () => ids[bits(BITS.choice)]);
    return way.length > 0 && way.every(Boolean) ? way : undefined;
  },
  // By the places of what was chosen among all choices, in order.
  interaction: ({ ids }, response) => ({
    type: 'fill-in',
    response: [response.map((id) => ids.indexOf(id) + 1).join(' ')],
  }),
  said(_, response, secret) {
    const { steps } = gone(secret, response)!;
    return steps.map(({ scene, chosen }) => {
      const { title } = secret.scenes[scene.id];
      const choice = scene.choices.find(({ id }) => id === chosen);
      if (!choice) return title || scene.text;
      return title ? `${title}: ${choice.text}` : choice.text;
    });
  },
};

function seen({ id, text, choices, picture }: ScenarioCheck['scenes'][number], mix: (id: string) => string): SceneView {
  return {
    id: mix(id),
    text,
    choices: mixed(choices.map((choice) => ({ id: mix(choice.id), text: choice.text }))),
    ...(picture && { picture }),
  };
}

/** A way gone step by step, with the scene it leads to while the story goes on; undefined where it is none. */
function gone({ first, scenes, choices }: ScenarioSecret, way: readonly string[]) {
  const steps: StoryStep[] = [];
  let at: SceneView | undefined = scenes[first].seen;
  for (const chosen of way) {
    const isHere = at?.choices.some(({ id }) => id === chosen) && Object.hasOwn(choices, chosen);
    if (!at || !isHere) return undefined;
    const { to, follows }: SecretChoice = choices[chosen];
    steps.push({ scene: at, chosen, follows });
    at = to === undefined ? undefined : scenes[to].seen;
  }
  // A scene in which nothing can be done is an end: it is told, and the story is over.
  const end = at && at.choices.length === 0 ? at : undefined;
  if (end) steps.push({ scene: end, chosen: '', follows: '' });
  return { steps, next: end ? undefined : at };
}

/** Whether what was chosen was the best there, the worst, or something between; absent where nothing was to choose. */
function worthOf({ choices }: ScenarioSecret, { scene, chosen }: StoryStep): StoryStep['worth'] {
  if (!chosen) return undefined;
  const scores = scene.choices.map(({ id }) => choices[id].score);
  const { score } = choices[chosen];
  const [best, worst] = [Math.max(...scores), Math.min(...scores)];
  return score === best ? 'best' : score === worst ? 'off' : 'near';
}

/** What the sources say to what was chosen, and to what was best in each scene that was met; each once. */
function rulesMet({ choices }: ScenarioSecret, steps: readonly StoryStep[]): string[] {
  return [
    ...new Set(
      steps.flatMap(({ scene, chosen }) => {
        const best = Math.max(...scene.choices.map(({ id }) => choices[id].score));
        return scene.choices
          .filter(({ id }) => id === chosen || choices[id].score === best)
          .flatMap(({ id }) => choices[id].quotes);
      }),
    ),
  ];
}
