import type { Objective } from '../course/course';
import { idFrom } from '../course/id';
import type { PassageRange } from '../course/rich-text';
import type { Claim, Knowledge } from '../knowledge';
import { isGenericTitle } from '../language/boilerplate';
import type { ObjectiveWords } from '../language/pack';
import { cleanTitle } from './titles';

const MOST = 3;

/**
 * What a lesson's learner can do afterwards, one to three objectives out of what its passages are: steps give
 * "carry out", conditional rules "decide", orders "do", definitions "explain", rules "apply", figures "state". None where no good
 * sentence can be made.
 */
export function lessonObjectives(lessonId: string, title: string, claims: readonly Claim[], knowledge: Knowledge): Objective[] {
  const wording = knowledge.pack.objectives;
  if (!wording) return [];
  const of = (kind: Claim['kind']) => claims.filter((claim) => claim.kind === kind);
  const steps = of('step');
  const rules = of('rule');
  const candidates: { words: ObjectiveWords | undefined; claims: Claim[] }[] = [];
  if (steps.length >= 2) {
    const first = knowledge.passages.get(steps[0].ranges[0].id);
    const leadIn = knowledge.passages.get(first?.leadIn ?? '');
    // The heading right over the steps says more nearly what they are for than the title of all that the lesson joins.
    const heading = first?.locator.path.at(-1);
    const over = heading && !isGenericTitle(heading) ? cleanTitle(heading, [], '') : title;
    const words = (leadIn && wording.fromStepsLeadIn(knowledge.pack.sentences(leadIn.text).map((range) => leadIn.text.slice(range.from, range.to)).pop() ?? '')) ?? wording.fromTitle(over, 'steps') ?? wording.fromTitle(title, 'steps');
    candidates.push({ words, claims: steps });
  }
  const conditional = rules.filter((claim) => claim.rule?.person && claim.rule.condition?.leading && !claim.leaning);
  if (conditional[0]) candidates.push({ words: wording.fromCondition(conditional[0].rule!.condition!.text), claims: [conditional[0]] });
  for (const claim of of('definition').filter((each) => each.proper && !each.leaning).slice(0, 1)) candidates.push({ words: wording.fromTerm(claim.term!, claim.plural ?? false), claims: [claim] });
  for (const claim of ordersToReader(rules)) {
    if (candidates.filter((candidate) => candidate.words).length >= 2) break;
    candidates.push({ words: wording.fromRule(claim.rule!.action, claim.rule!.condition?.text), claims: [claim] });
  }
  // What names the matter only comes behind what says something of it.
  if (rules.length >= 2) candidates.push({ words: wording.fromTitle(title, 'rules'), claims: rules });
  if (of('figure').length >= 3) candidates.push({ words: wording.fromTitle(title, 'figures'), claims: of('figure') });
  if (candidates.every((candidate) => !candidate.words)) candidates.push({ words: wording.fromTitle(title, 'other'), claims: claims.slice(0, 1) });
  const seen = new Set<string>();
  return candidates
    .flatMap(({ words, claims: behind }) => {
      if (!words || seen.has(words.object) || (words.condition && seen.has(words.condition))) return [];
      seen.add(words.object === 'what to do' ? words.condition! : words.object);
      return [{ id: idFrom('o', lessonId, words.text), ...words, evidence: evidenceOf(behind) }];
    })
    .slice(0, MOST);
}

/** Rules that tell the reader to do something, the firmest first. */
function ordersToReader(rules: readonly Claim[]): Claim[] {
  const firmness = { must: 0, should: 1, may: 2 };
  return rules
    .filter(({ rule, leaning, ranges }) => !leaning && ranges[0].from === 0 && rule && !rule.negative && rule.strength !== 'may' && (rule.subject === undefined || /^you$/i.test(rule.subject)))
    .map((claim, at) => ({ claim, at }))
    .sort((a, b) => firmness[a.claim.rule!.strength] - firmness[b.claim.rule!.strength] || a.at - b.at)
    .slice(0, 4)
    .map(({ claim }) => claim);
}

function evidenceOf(claims: readonly Claim[]): PassageRange[] {
  return claims.slice(0, 5).flatMap((claim) => claim.ranges);
}
