import dagre from '@dagrejs/dagre';
import type { Scene } from '~~/core/checks/scenario/form';
import type { Walk } from '~~/core/checks/scenario/walk';
import { sceneName } from './words';

/** A scene, or the end of a choice that leads to none, as a point of the trail. */
export interface TrailPoint {
  id: string;
  /** The scene it is, or whose choice ends here. */
  scene: string;
  label: string;
  x: number;
  y: number;
  kind: 'scene' | 'end';
  onBest: boolean;
}

/** A choice as a line of the trail. */
export interface TrailLine {
  id: string;
  scene: string;
  path: string;
  score: number;
  /** Where its points stand. */
  at: { x: number; y: number };
  kind: 'best' | 'way' | 'again';
}

export interface Trail {
  points: TrailPoint[];
  lines: TrailLine[];
  width: number;
  height: number;
}

const POINT = { width: 150, height: 46 };
const MARGIN = 20;

/**
 * The ways of a story as a trail from left to right, laid out in layers (dagre, after Gansner and others, 1993): the
 * best way is told from the others, and ways back from those on.
 */
export function trailOf(scenes: readonly Scene[], found: Walk): Trail {
  const graph = new dagre.graphlib.Graph({ multigraph: true });
  graph.setGraph({ rankdir: 'LR', nodesep: 6, ranksep: 26, marginx: MARGIN, marginy: 12 });
  graph.setDefaultEdgeLabel(() => ({}));
  const best = new Set(found.best?.choices);
  const endOf = (choice: string) => `end-${choice}`;
  for (const { id } of scenes) graph.setNode(id, { ...POINT });
  for (const { id, choices } of scenes)
    for (const choice of choices) {
      const to = choice.to ?? endOf(choice.id);
      if (choice.to === undefined) graph.setNode(to, { width: 40, height: 30 });
      // A way back is drawn round by hand: the layers go on.
      if (!found.again.has(choice.id)) graph.setEdge(id, to, { weight: best.has(choice.id) ? 8 : 1 }, choice.id);
    }
  dagre.layout(graph);
  const place = (id: string) => graph.node(id) as { x: number; y: number };
  const { width = 0, height = 0 } = graph.graph();
  const onBest = new Set(scenes.flatMap(({ id, choices }) => (choices.some((each) => best.has(each.id)) ? [id] : [])));
  const lines = scenes.flatMap(({ id, choices }) =>
    choices.map((choice): TrailLine => {
      const to = choice.to ?? endOf(choice.id);
      if (best.has(choice.id)) onBest.add(to);
      const again = found.again.has(choice.id);
      const [from, end] = [place(id), place(to)];
      const inner = again
        ? [{ x: (from.x + end.x) / 2, y: Math.max(from.y, end.y) + 34 }]
        : (graph.edge({ v: id, w: to, name: choice.id }) as { points: { x: number; y: number }[] }).points.slice(1, -1);
      return {
        id: choice.id,
        scene: id,
        path: curved([from, ...inner, end], again && id === to),
        score: choice.score,
        at: inner[Math.floor(inner.length / 2)] ?? { x: (from.x + end.x) / 2, y: (from.y + end.y) / 2 },
        kind: again ? 'again' : best.has(choice.id) ? 'best' : 'way',
      };
    }),
  );
  const points = [
    ...scenes.map((scene, at): TrailPoint => ({
      id: scene.id,
      scene: scene.id,
      label: sceneName(scene, at),
      ...pick(place(scene.id)),
      kind: scene.choices.length === 0 ? 'end' : 'scene',
      onBest: onBest.has(scene.id),
    })),
    ...scenes.flatMap(({ id, choices }) =>
      choices
        .filter(({ to }) => to === undefined)
        .map((choice): TrailPoint => ({
          id: endOf(choice.id),
          scene: id,
          label: '',
          ...pick(place(endOf(choice.id))),
          kind: 'end',
          onBest: onBest.has(endOf(choice.id)),
        })),
    ),
  ];
  return { points, lines, width: Math.ceil(width), height: Math.ceil(height) + (found.again.size > 0 ? 26 : 0) };
}

const pick = ({ x, y }: { x: number; y: number }) => ({ x, y });

/** A line through points that turns softly: through the middles of its stretches. */
function curved(points: readonly { x: number; y: number }[], round: boolean): string {
  const [first, ...rest] = points;
  if (round) return `M${first!.x} ${first!.y}c-34 46 34 46 0 0`;
  if (rest.length === 1) return `M${first!.x} ${first!.y}L${rest[0]!.x} ${rest[0]!.y}`;
  let path = `M${first!.x} ${first!.y}`;
  for (const [at, point] of rest.entries()) {
    const next = rest[at + 1];
    if (!next) break;
    const end = at === rest.length - 2 ? next : { x: (point.x + next.x) / 2, y: (point.y + next.y) / 2 };
    path += `Q${point.x} ${point.y} ${end.x} ${end.y}`;
  }
  return path;
}
