import type { Brief, Lesson } from '../course/course';
import { headedIn, questionPool, type QuestionPool } from '../check';
import { commonTerms, type Claim, type Knowledge, type Term } from '../knowledge';
import type { Matter } from '../lesson/parts';
import type { SourceMatter } from '../outline';
import { lessonKindOf } from '../outline/lesson-kind';
import type { Unit } from '../unit/unit';
import { unitsOf, type SourceUnits } from '../unit/units';
import { saidOnce } from '../unit/once';

/** All that drafting looks things up in; made once, never changed. */
export interface DraftContext {
  brief: Brief;
  knowledge: readonly Knowledge[];
  /** Each source taken apart into units. */
  sources: readonly SourceMatter[];
  terms: readonly Term[];
  /** Claims of passages that the outline uses; all others lie in parts it leaves out. */
  claims: readonly Claim[];
  /** Claims that say letter by letter what an earlier one says. */
  repeatedClaims: ReadonlySet<string>;
  /** Claims to take wrong answers from, by language. */
  pools: ReadonlyMap<string, QuestionPool>;
  matter: Matter;
}

/** Prepares drafting from what is understood of the sources. */
export function draftContext(brief: Brief, knowledge: readonly Knowledge[]): DraftContext {
  const owner = new Map(
    knowledge.flatMap((each) => each.source.passages.map((passage) => [passage.id, each] as const)),
  );
  const claims = knowledge.flatMap((each) => each.claims);
  const byPassage = new Map<string, Claim[]>();
  for (const claim of claims) {
    for (const id of new Set(claim.ranges.map((range) => range.id))) {
      const list = byPassage.get(id);
      if (list) list.push(claim);
      else byPassage.set(id, [claim]);
    }
  }
  const cut = knowledge.map((each) => ({ knowledge: each, ...unitsOf(each) }));
  const unitOf = new Map(
    cut.flatMap(({ units }) => units.flatMap((unit) => unit.passages.map((id): [string, Unit] => [id, unit]))),
  );
  return {
    brief,
    knowledge,
    sources: cut,
    claims,
    terms: commonTerms(knowledge),
    repeatedClaims: repeatedClaims(claims),
    pools: new Map(),
    matter: {
      of: (passageId) => owner.get(passageId)!,
      claims: byPassage,
      unitOf: (passageId) => unitOf.get(passageId)!,
      noise: new Map(cut.flatMap(({ noise }: SourceUnits) => [...noise])),
      said: new Map(),
      also: new Map(),
      known: brief.audience.knows.map((subject) => knowledge[0].pack.stems(subject)),
    },
  };
}

/**
 * The same context for the lessons of an outline, with their passages: wrong answers come from nowhere else, and what
 * two of them say is said once.
 */
export function contextFor(
  context: DraftContext,
  lessons: readonly { id: string; passages: readonly string[] }[],
): DraftContext {
  const home = new Map(lessons.flatMap(({ id, passages }) => passages.map((passage) => [passage, id] as const)));
  const used = new Set(home.keys());
  const claims = context.claims.filter((claim) => claim.ranges.every((range) => used.has(range.id)));
  const pools = new Map<string, QuestionPool>();
  for (const { pack } of context.knowledge) {
    if (pack.questions && !pools.has(pack.code))
      pools.set(
        pack.code,
        questionPool(
          claims.filter((claim) => context.matter.of(claim.ranges[0].id).pack.code === pack.code),
          pack,
          context.knowledge.filter((each) => each.pack.code === pack.code).flatMap((each) => headedIn(each, used)),
        ),
      );
  }
  return { ...context, claims, pools, matter: { ...context.matter, ...saidOnce(context, home) } };
}

/** What a lesson with these passages is for, as a field of its node; none where it has no matter. */
export function kindOf(
  passages: readonly string[],
  { matter }: Pick<DraftContext, 'matter'>,
): Pick<Lesson, 'lessonKind'> {
  const units = new Set(passages.map((id) => matter.unitOf(id)));
  const claims = new Set(passages.flatMap((id) => matter.claims.get(id) ?? []));
  return passages.length === 0 ? {} : { lessonKind: lessonKindOf([...units], [...claims]) };
}

function repeatedClaims(claims: readonly Claim[]): Set<string> {
  const seen = new Set<string>();
  return new Set(
    claims
      .filter((claim) => {
        const key = `${claim.kind}|${claim.text.toLowerCase()}`;
        if (seen.has(key)) return true;
        seen.add(key);
        return false;
      })
      .map((claim) => claim.id),
  );
}
