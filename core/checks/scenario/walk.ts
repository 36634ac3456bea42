import type { Scene, SceneChoice } from './form';

/** What is found when every way through a story is gone. */
export interface Walk {
  /** Scenes that can be come to. */
  reached: ReadonlySet<string>;
  /** Scenes from which the story can come to an end. */
  ending: ReadonlySet<string>;
  /** Choices that lead to a scene that was met before: points to decide again from. */
  again: ReadonlySet<string>;
  /** The way that is worth most: its choices, and its points. Undefined where no way ends. */
  best?: { choices: string[]; score: number };
  /** Points of the way that is worth least. */
  least?: number;
  /** How many ways end, where nobody goes back; counted up to `WAYS_MOST`. */
  ways: number;
  /** Words read on the shortest and on the longest way, what follows among them. */
  words: { fewest: number; most: number };
}

export const WAYS_MOST = 1_000_000;

/** What is known of a story from one of its scenes on. */
interface Onward {
  best?: { score: number; choice?: SceneChoice };
  least?: number;
  ways: number;
  words?: { fewest: number; most: number };
}

/** Words of a text. */
const wordsIn = (text: string): number => text.split(/\s+/).filter(Boolean).length;
const byId = (scenes: readonly Scene[]) => new Map(scenes.map((scene) => [scene.id, scene]));

/**
 * Goes through a story once, in time linear in its choices: depth first from the first scene; a choice that leads to a
 * scene on the way there goes back (Tarjan, 1972), all others form a graph without circles, whose longest ways are
 * found from its ends.
 */
export function walk(scenes: readonly Scene[]): Walk {
  const known = byId(scenes);
  const again = new Set<string>();
  const order: Scene[] = [];
  const state = new Map<string, 'open' | 'done'>();
  // By hand, not by calls: a story may be as deep as it has scenes.
  const stack: { scene: Scene; at: number }[] = [];
  const enter = (scene: Scene) => {
    state.set(scene.id, 'open');
    stack.push({ scene, at: 0 });
  };
  if (scenes[0]) enter(scenes[0]);
  while (stack.length > 0) {
    const top = stack[stack.length - 1];
    const choice = top.scene.choices[top.at++];
    if (!choice) {
      state.set(top.scene.id, 'done');
      order.push(top.scene);
      stack.pop();
      continue;
    }
    const next = choice.to === undefined ? undefined : known.get(choice.to);
    if (!next) continue;
    if (state.get(next.id) === 'open') again.add(choice.id);
    else if (!state.has(next.id)) enter(next);
  }
  const onward = new Map<string, Onward>();
  for (const scene of order) onward.set(scene.id, onwardFrom(scene, onward, again));
  const first = scenes[0] && onward.get(scenes[0].id);
  return {
    reached: new Set(state.keys()),
    ending: new Set([...onward].filter(([, { ways }]) => ways > 0).map(([id]) => id)),
    again,
    ...(first?.best && { best: { score: first.best.score, choices: bestWay(scenes[0], known, onward) } }),
    ...(first?.least !== undefined && { least: first.least }),
    ways: first?.ways ?? 0,
    words: first?.words ?? { fewest: 0, most: 0 },
  };
}

function onwardFrom(scene: Scene, onward: ReadonlyMap<string, Onward>, again: ReadonlySet<string>): Onward {
  const own = wordsIn(scene.text);
  if (scene.choices.length === 0) return { best: { score: 0 }, least: 0, ways: 1, words: { fewest: own, most: own } };
  const all = scene.choices.reduce((sum, { text }) => sum + wordsIn(text), own);
  const made: Onward = { ways: 0 };
  for (const choice of scene.choices) {
    if (again.has(choice.id)) continue;
    const END: Onward = { best: { score: 0 }, least: 0, ways: 1, words: { fewest: 0, most: 0 } };
    const next = choice.to === undefined ? END : onward.get(choice.to);
    if (!next?.best || next.least === undefined || !next.words) continue;
    const score = choice.score + next.best.score;
    if (!made.best || score > made.best.score) made.best = { score, choice };
    made.least = Math.min(made.least ?? Infinity, choice.score + next.least);
    made.ways = Math.min(WAYS_MOST, made.ways + next.ways);
    const read = all + wordsIn(choice.follows);
    made.words = {
      fewest: Math.min(made.words?.fewest ?? Infinity, read + next.words.fewest),
      most: Math.max(made.words?.most ?? 0, read + next.words.most),
    };
  }
  return made;
}

function bestWay(first: Scene, known: ReadonlyMap<string, Scene>, onward: ReadonlyMap<string, Onward>): string[] {
  const way: string[] = [];
  for (let scene: Scene | undefined = first; scene;) {
    const choice: SceneChoice | undefined = onward.get(scene.id)?.best?.choice;
    if (!choice) break;
    way.push(choice.id);
    scene = choice.to === undefined ? undefined : known.get(choice.to);
  }
  return way;
}

/** Words a minute that are read in a story, and the share of a minute that a decision takes. */
const PACE = { words: 180, decision: 0.25 };

/** Minutes of a story on its longest way, to a tenth. */
export function scenarioMinutes(scenes: readonly Scene[], { words, best }: Walk = walk(scenes)): number {
  return Math.round((words.most / PACE.words + (best?.choices.length ?? 0) * PACE.decision) * 10) / 10;
}
