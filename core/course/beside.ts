import type { Module, Objective } from './course';
import type { RowPair } from './taking';
import { dice, threes } from '../document/letters';

/** An outline as it is laid beside another. */
export interface OutlineSide {
  modules: readonly Pick<Module, 'id' | 'title' | 'purpose' | 'lessons'>[];
  objectives: readonly Pick<Objective, 'id' | 'text'>[];
}

/** A row of two outlines side by side. */
export interface BesideRow extends RowPair {
  /** same: in the same words; alike: about the same, worded otherwise; mine, other: in one alone. */
  fit: 'same' | 'alike' | 'mine' | 'other';
  /** A lesson that both have, in modules that are not each other's. */
  elsewhere?: boolean;
}

/**
 * Two lessons are one when they share so much of the passages of the shorter, or so many of their letters' threes; two
 * modules when they share so many lessons.
 */
const ONE = { passages: 0.5, title: 0.55, together: 0.4, lessons: 0.3 };

/**
 * Lays two outlines side by side, row by row, matched by what they are: the same row, the same passages, then like
 * words in title and objective (Dice's coefficient of trigrams, so in any language). The author's order leads; what
 * only the other has stands behind what it stands behind there, and a module of the other alone between modules.
 */
export function sideBySide(mine: OutlineSide, other: OutlineSide): BesideRow[] {
  const [left, right] = [lessonsOf(mine), lessonsOf(other)];
  const partner = matched(left, right);
  const modules = matchedModules(mine, other, partner);
  const back = new Map([...partner, ...modules].map(([a, b]) => [b, a]));
  const homes = new Map(right.map((entry) => [entry.id, entry.module]));
  const [said, told] = [
    [...left, ...modulesOf(mine)],
    [...right, ...modulesOf(other)],
  ].map((side) => new Map(side.map((each) => [each.id, each.words])));
  const fit = (a: string, b: string): 'same' | 'alike' => (said.get(a) === told.get(b) ? 'same' : 'alike');
  const rows: BesideRow[] = mine.modules.flatMap((module): BesideRow[] => {
    const twin = modules.get(module.id);
    return [
      { kind: 'module', mine: module.id, ...(twin ? { other: twin, fit: fit(module.id, twin) } : { fit: 'mine' }) },
      ...module.lessons.map(({ id }): BesideRow => {
        const same = partner.get(id);
        if (!same) return { kind: 'lesson', mine: id, fit: 'mine' };
        return {
          kind: 'lesson',
          mine: id,
          other: same,
          fit: fit(id, same),
          ...(homes.get(same) !== twin && { elsewhere: true }),
        };
      }),
    ];
  });
  let at = 0;
  for (const module of other.modules) {
    const twin = back.get(module.id);
    if (twin) at = rows.findIndex((row) => row.mine === twin) + 1;
    else {
      while (at < rows.length && rows[at].kind !== 'module') at++;
      rows.splice(at++, 0, { kind: 'module', other: module.id, fit: 'other' });
    }
    for (const { id } of module.lessons) {
      const own = back.get(id);
      // What both have but elsewhere leads into no other module.
      const place = own === undefined ? -1 : rows.findIndex((row) => row.mine === own);
      if (place >= 0 && !rows[place].elsewhere) at = place + 1;
      else if (own === undefined) rows.splice(at++, 0, { kind: 'lesson', other: id, fit: 'other' });
    }
  }
  return rows;
}

interface Entry {
  id: string;
  module: string;
  /** Title and objective, to be held against others. */
  words: string;
  title: Set<string>;
  objective: Set<string>;
  passages: readonly string[];
}

const modulesOf = ({ modules }: OutlineSide): { id: string; words: string }[] =>
  modules.map(({ id, title, purpose }) => ({ id, words: `${title}\n${purpose}` }));

function lessonsOf({ modules, objectives }: OutlineSide): Entry[] {
  const texts = new Map(objectives.map(({ id, text }) => [id, text]));
  return modules.flatMap((module) =>
    module.lessons.map(({ id, title, objectiveIds, plannedPassages, given = [] }): Entry => {
      const objective = texts.get(objectiveIds[0]) ?? '';
      return {
        id,
        module: module.id,
        words: `${title}\n${objective}`,
        title: threes(title),
        objective: threes(objective),
        passages: [...plannedPassages, ...given],
      };
    }),
  );
}

/** For each lesson of the left that the right has too, that one. */
function matched(left: readonly Entry[], right: readonly Entry[]): Map<string, string> {
  const partner = new Map<string, string>();
  const taken = new Set<string>();
  const take = (a: Entry, b: Entry) => {
    if (partner.has(a.id) || taken.has(b.id)) return;
    partner.set(a.id, b.id);
    taken.add(b.id);
  };
  const byId = new Map(right.map((entry) => [entry.id, entry]));
  for (const entry of left) {
    const same = byId.get(entry.id);
    if (same) take(entry, same);
  }
  const candidates = left
    .filter(({ id }) => !partner.has(id))
    .flatMap((a) =>
      right
        .filter(({ id }) => !taken.has(id))
        .map((b) => ({ a, b, score: likeness(a, b) }))
        .filter(({ score }) => score > 0),
    )
    .sort((x, y) => y.score - x.score);
  for (const { a, b } of candidates) take(a, b);
  return partner;
}

/** How surely two lessons are one; 0 when they are not. */
function likeness(a: Entry, b: Entry): number {
  const there = new Set(b.passages);
  const least = Math.min(a.passages.length, b.passages.length);
  const shared = least === 0 ? 0 : a.passages.filter((id) => there.has(id)).length / least;
  const title = dice(a.title, b.title);
  const objective = dice(a.objective, b.objective);
  return shared >= ONE.passages || title >= ONE.title || (title >= ONE.together && objective >= ONE.together)
    ? shared * 2 + title + objective / 2
    : 0;
}

/** Modules that are one: those with most lessons in common, then those of like titles. */
function matchedModules(
  mine: OutlineSide,
  other: OutlineSide,
  partner: ReadonlyMap<string, string>,
): Map<string, string> {
  const found = new Map<string, string>();
  const taken = new Set<string>();
  const candidates = mine.modules
    .flatMap((a) =>
      other.modules.map((b) => {
        const own = new Set(b.lessons.map(({ id }) => id));
        const common = a.lessons.filter(({ id }) => own.has(partner.get(id) ?? '')).length;
        const share = (2 * common) / Math.max(1, a.lessons.length + b.lessons.length);
        const title = dice(threes(a.title), threes(b.title));
        return {
          a,
          b,
          score: (a.id === b.id ? 4 : 0) + (share >= ONE.lessons ? share * 2 : 0) + (title >= ONE.title ? title : 0),
        };
      }),
    )
    .filter(({ score }) => score > 0)
    .sort((x, y) => y.score - x.score);
  for (const { a, b } of candidates) {
    if (found.has(a.id) || taken.has(b.id)) continue;
    found.set(a.id, b.id);
    taken.add(b.id);
  }
  return found;
}
