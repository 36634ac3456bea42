import { allLessons, type Course } from '../course/course';
import type { Knowledge } from '../knowledge';
import { facetsOf } from '../unit/facets';
import { unitsOf } from '../unit/units';

/** Words of the sources for a field of a module's brief, with the passage they stand in. */
export interface ModuleOffer {
  text: string;
  /** None where they were made of what lessons are for. */
  passage?: string;
}

/** What the sources offer whoever says what a module is for by itself. */
export type ModuleOffers = Record<'result' | 'wrong' | 'asked' | 'actions', ModuleOffer[]>;

const MOST = 5;
/** Longer sentences say more than one thing. */
const LONGEST = 200;

/**
 * Looks through what a module's lessons stand on: limits and deadlines are results that can be counted, warnings and
 * prohibitions are what goes wrong, questions are what people ask; what its lessons are for, where it is something
 * done, are actions. Undefined where there is no such module.
 */
export function moduleOffers(
  course: Course,
  moduleId: string,
  knowledge: readonly Knowledge[],
): ModuleOffers | undefined {
  const module = course.modules.find(({ id }) => id === moduleId);
  if (!module) return undefined;
  const own = new Set(module.lessons.flatMap(({ plannedPassages, given = [] }) => [...plannedPassages, ...given]));
  // A figure that is only told ("fourteen people") is no result to reach; what limits says so in its words.
  const said = knowledge.flatMap(({ claims, pack }) =>
    claims
      .filter(
        ({ ranges, leaning, text }) => !leaning && text.length <= LONGEST && ranges.every(({ id }) => own.has(id)),
      )
      .filter(({ kind }) => kind !== 'definition')
      .map((claim) => ({ claim, facets: [...facetsOf({ ...claim, kind: 'rule' }, pack)] })),
  );
  const offered = (found: typeof said): ModuleOffer[] =>
    found.map(({ claim }) => ({ text: claim.text, passage: claim.ranges[0].id }));
  const objectives = new Map(course.objectives.map((objective) => [objective.id, objective]));
  const asked = knowledge.flatMap((each) =>
    unitsOf(each).units.flatMap(({ kind, passages }): ModuleOffer[] => {
      const text = each.passages.get(passages[0])?.text.trim() ?? '';
      return kind === 'question' && passages.some((id) => own.has(id)) && /[?？]$/.test(text) && text.length <= LONGEST
        ? [{ text, passage: passages[0] }]
        : [];
    }),
  );
  const titles = allLessons({ ...course, modules: [module] }).flatMap(({ title, plannedPassages }): ModuleOffer[] =>
    /[?？]$/.test(title) ? [{ text: title, passage: plannedPassages[0] }] : [],
  );
  return {
    result: few(offered(said.filter(({ facets }) => facets.includes('deadline') || facets.includes('limit')))),
    wrong: few(offered(said.filter(({ claim, facets }) => claim.kind === 'warning' || facets.includes('prohibition')))),
    asked: few([...asked, ...titles]),
    actions: few(
      module.lessons.flatMap(({ objectiveIds }) => {
        const first = objectives.get(objectiveIds[0] ?? '');
        return first && first.verb !== 'explain' && first.verb !== 'state'
          ? [{ text: first.text, ...(first.evidence[0] && { passage: first.evidence[0].id }) }]
          : [];
      }),
    ),
  };
}

/** The first few, each once. */
const few = (offers: readonly ModuleOffer[]): ModuleOffer[] =>
  [...new Map(offers.map((offer) => [offer.text.toLowerCase(), offer])).values()].slice(0, MOST);
