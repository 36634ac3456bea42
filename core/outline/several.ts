import type { Knowledge } from '../knowledge';
import { cosine } from '../language/similarity';
import { stemsOf, weightedStems } from './likeness';
import { passagesOf, type Dropped, type Scope } from './scope';
import { joinScopes, joinSmall, type ScopeGroup } from './scopes';
import { cleanTitle } from './titles';

/**
 * A part of another source belongs to a lesson's topic when it is so much like it (cosine of weighted stems) and so
 * much more than like any other lesson; the less alike, the clearer it must be. Read on pairs of the demo's and the
 * test documents.
 */
const FITS = [
  { alike: 0.15, ahead: 1.15 },
  { alike: 0.1, ahead: 1.4 },
  { alike: 0.05, ahead: 1.8 },
];
/** A lesson of the same name is its topic when it is nearly as much like it as the most alike. */
const NAMED = 0.8;
/** What only supports and finds no place is left out: there less is enough. */
const SUPPORTS = 0.09;
/** What of a source fits no topic and is so many words in so many parts is a module. */
const MODULE = { words: 330, parts: 3 };
/**
 * A lesson of its own has so many words; a smaller part that fits no topic stands with its neighbour of the same
 * source.
 */
const LESSON = { most: 420, least: 60 };

/** A source cut into parts that each are about one thing. */
interface Part {
  knowledge: Knowledge;
  groups: ScopeGroup[];
}

/**
 * Brings several sources together by topic. The leading source gives the skeleton. A part of another goes to the lesson
 * whose topic it shares; what shares none becomes a lesson of its own behind the lesson that it is most like; much of
 * it together is a module, called by its content. A source that only supports makes none, and what of it fits nowhere
 * is left out.
 */
export function bringTogether(parts: readonly Part[], leading: number, dropped: Dropped[]): ScopeGroup[] {
  const result = parts[leading].groups.map((group) => ({ ...group, scopes: [...group.scopes] }));
  const others = parts.filter((_, index) => index !== leading);
  if (others.length === 0) return result;
  const own = new Map(
    parts.map(
      (part, at) =>
        [
          part,
          at === leading
            ? part.groups.flatMap((group) => group.scopes)
            : withOpening(
                part.groups.flatMap((group) => group.scopes),
                part.knowledge,
              ),
        ] as const,
    ),
  );
  const vectors = weightedStems(
    parts.flatMap((part) => own.get(part)!.map((scope) => ({ of: scope, stems: stemsOf(scope, part.knowledge) }))),
  );
  const homes = result.flatMap((group) => group.scopes);
  const additions = new Map<Scope, { scope: Scope; told: boolean }[]>();
  const behind = new Map<Scope, Scope[]>();
  const modules: ScopeGroup[] = [];
  for (const part of others) {
    const { knowledge } = part;
    const told = knowledge.source.passages.some(
      (passage) => passage.kind === 'utterance' || passage.locator.question !== undefined,
    );
    const left: Scope[] = [];
    const nearest = new Map<Scope, Scope>();
    for (const scope of own.get(part)!) {
      const ranked = homes
        .map((home) => ({ home, score: cosine(vectors.get(scope)!, vectors.get(home)!) }))
        .sort((a, b) => b.score - a.score);
      const named = ranked.find(
        (each) => each.score >= ranked[0].score * NAMED && calledAlike(each.home, scope, knowledge),
      )?.home;
      // What is too short to be a lesson goes where it fits best, as long as it has something to do with it.
      const short = scope.words < LESSON.least && ranked[0].score >= SUPPORTS;
      const home = named ?? (short || fits(ranked, knowledge.supporting ?? false) ? ranked[0].home : undefined);
      if (home) additions.set(home, [...(additions.get(home) ?? []), { scope, told }]);
      else if (knowledge.supporting) dropped.push({ passages: passagesOf(scope), reason: 'supporting' });
      else {
        left.push(scope);
        nearest.set(scope, ranked[0].home);
      }
    }
    const lessons = joinSmall(left, LESSON, (a, b) => joinScopes(a, b, undefined, knowledge));
    if (lessons.length >= MODULE.parts && lessons.reduce((sum, scope) => sum + scope.words, 0) >= MODULE.words)
      modules.push({ title: moduleTitle(lessons, knowledge), scopes: lessons });
    else {
      for (const lesson of lessons) {
        const near =
          nearest.get(lesson) ??
          left
            .filter((scope) => passagesOf(lesson).includes(passagesOf(scope)[0]))
            .map((scope) => nearest.get(scope)!)[0];
        behind.set(near, [...(behind.get(near) ?? []), lesson]);
      }
    }
  }
  return [
    ...result.map((group) => ({
      ...group,
      scopes: group.scopes.flatMap((scope) => [
        withAdded(scope, additions.get(scope) ?? []),
        ...(behind.get(scope) ?? []),
      ]),
    })),
    ...modules,
  ];
}

/** What a source begins with stands with what comes next: the course has an opening of its own. */
function withOpening(scopes: readonly Scope[], { pack }: Knowledge): Scope[] {
  const [first, second, ...rest] = scopes;
  if (!second || first.title !== pack.labels.opening) return [...scopes];
  return [
    {
      ...second,
      sections: [...first.sections, ...second.sections],
      words: first.words + second.words,
      weight: first.weight + second.weight,
    },
    ...rest,
  ];
}

/**
 * Whether something belongs to the topic it is most like, by how much it is like that and the next (`ranked`: the most
 * alike first). `supporting`: of a source that only adds, less is enough.
 */
export function fits([best, second]: readonly { score: number }[], supporting: boolean): boolean {
  const ahead = best.score / Math.max(1e-9, second?.score ?? 0);
  return (supporting && best.score >= SUPPORTS) || FITS.some((each) => best.score >= each.alike && ahead >= each.ahead);
}

/** "Hands: when" under "Hands": the lesson's title begins the part's. */
function calledAlike(home: Scope, scope: Scope, { pack }: Knowledge): boolean {
  const [own, other] = [pack.stems(home.title), pack.stems(scope.title)];
  return own.length > 0 && home.title !== pack.labels.opening && own.every((stem, at) => other[at] === stem);
}

/** A module is called by the weightiest of its lessons that has a name, not by its document. */
function moduleTitle(lessons: readonly Scope[], { pack, source }: Knowledge): string {
  const about = new Set(pack.stems(source.title));
  const named = lessons.filter(
    ({ title }) => !/[?？]$/.test(title) && title !== pack.labels.opening && title.includes(' '),
  );
  const telling = named.filter(({ title }) => pack.stems(title).some((stem) => about.has(stem)));
  const [best] = [...(telling.length > 0 ? telling : named)].sort((a, b) => b.weight - a.weight);
  return best?.title ?? cleanTitle(source.title, [], '');
}

/** Within a lesson the rule comes first, from whichever document, and what somebody tells of it last. */
function withAdded(scope: Scope, added: readonly { scope: Scope; told: boolean }[]): Scope {
  const order = [...added].sort((a, b) => Number(a.told) - Number(b.told)).map((each) => each.scope);
  return {
    ...scope,
    sections: [...scope.sections, ...order.flatMap((each) => each.sections)],
    words: scope.words + order.reduce((sum, each) => sum + each.words, 0),
    weight: scope.weight + order.reduce((sum, each) => sum + each.weight, 0),
  };
}

/**
 * The source to lead: of those not only to support, the one with most words under headings of its own; the first given
 * among equals.
 */
export function leadingSource(parts: readonly Part[]): number {
  const standing = parts.map(({ knowledge, groups }) => {
    const words = groups.reduce((sum, group) => sum + group.scopes.reduce((inner, scope) => inner + scope.words, 0), 0);
    return (knowledge.source.root.sections.length >= 3 ? words : words / 4) / (knowledge.supporting ? 1e6 : 1);
  });
  return standing.indexOf(Math.max(...standing));
}
