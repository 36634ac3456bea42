import type { Knowledge, Term } from '../knowledge';
import type { Unit } from '../unit/unit';
import { passagesOf, type Scope } from './scope';
import type { ScopeGroup } from './scopes';
import { bySubject } from './subjects';
import { isAsking } from '../language/asking';
import { anyOf } from '../language/phrases';

/** The moments of a work that lessons are about; a module each, where a document has no parts of its own. */
export type Moment = 'before' | 'doing' | 'trouble' | 'after';
const MOMENTS: readonly Moment[] = ['before', 'doing', 'trouble', 'after'];

const SETTING_TITLES = anyOf`
  purpose | scope | aims? | introduction | overview | background | about | why\b
  who (?:does what|is who|decides) | roles | responsibilit | definitions? | terms | words\b | glossary
  before (?:you|we) | what (?:this|it) is | zweck | ziele?\b | geltungsbereich | begriffe | zuständigkeit
  einleitung | warum\b | objet\b | objectifs?\b | champ\b | définitions | rôles | pourquoi\b | objeto
  objetivos?\b | alcance | definiciones | funciones | por qué\b
`;
const TROUBLE_TITLES = anyOf`
  emergenc\w* | incidents? | accidents? | fail\w* | faults? | errors? | problems? | troubles?\w* | complaints?
  spills? | loss | lost | theft | stolen | breakdowns? | damag\w* | broken | goes wrong | outage | refus\w*
  overdue | late returns? | notfall\w* | störung\w* | unfall\w* | fehler\w* | beschwerde\w* | verlust | schäden
  incident | accident | panne | erreurs? | réclamations? | perte | emergencia | incidentes? | accidentes?
  averías? | errores | quejas | pérdida
`;
const APPENDED_TITLES = anyOf`
  questions?\b.* | faqs? | frequently asked.* | records?\b.* | training\b.* | documents?\b.* | forms?
  check ?lists? | contacts? | reporting | reviews? | häufige fragen | aufzeichnung\w* | schulung\w* | nachweise
  questions fréquentes | registres | formation | preguntas.* | registros | formación
`;
/** Titles that tell the moment by themselves, in the languages we read. */
const TITLED: [Moment, RegExp][] = [
  ['before', new RegExp(String.raw`^${SETTING_TITLES}`, 'i')],
  ['trouble', new RegExp(String.raw`\b${TROUBLE_TITLES}\b`, 'i')],
  ['after', new RegExp(String.raw`^${APPENDED_TITLES}$`, 'i')],
];
/** A moment with fewer words is no module of its own. */
const SMALLEST = 180;
/** From this share of titles that ask, or tell of a trouble, on a text is a page of questions. */
const QUESTIONS = 0.6;
/** So many questions are grouped by what they are about. */
const MANY_QUESTIONS = 13;
/** A module has at most so many lessons; more are several modules. */
const MOST = 18;

/**
 * Groups the lessons of a document without parts of its own by the moment they are about: what to know before, the
 * work, when something goes wrong, and what comes after. Within a moment the order stays. One group, under the course's
 * title, where that gives but one module. A page of questions or troubles has no moments ("Why do I get an error?" is
 * nothing to know before): many of them are grouped by what they are about.
 */
export function byMoment(
  scopes: readonly Scope[],
  courseTitle: string,
  knowledge: Knowledge,
  terms: readonly Term[],
  unitOf: (passageId: string) => Unit,
): ScopeGroup[] {
  const { labels } = knowledge.pack;
  if (scopes.filter(({ title }) => isAsking(title)).length >= scopes.length * QUESTIONS)
    return scopes.length < MANY_QUESTIONS
      ? [{ title: courseTitle, scopes: [...scopes] }]
      : bySubject(scopes, {
          knowledge,
          terms,
          courseTitle,
          restTitle: labels.moreQuestions,
          notSubject: new RegExp(String.raw`^${TROUBLE_TITLES}$`, 'i'),
        });
  const moments = scopes.map((scope, at) => momentOf(scope, at / Math.max(1, scopes.length - 1), unitOf));
  const groups = MOMENTS.map((moment) => ({ moment, scopes: scopes.filter((_, at) => moments[at] === moment) })).filter(
    (group) => group.scopes.length > 0,
  );
  const words = (group: { scopes: readonly Scope[] }) => group.scopes.reduce((sum, scope) => sum + scope.words, 0);
  // A moment of its own has matter; a smaller one stands with the work.
  const doing =
    groups.find((group) => group.moment === 'doing') ??
    groups.reduce((most, group) => (words(group) > words(most) ? group : most));
  const kept = groups.filter((group) => group === doing || words(group) >= SMALLEST);
  const order = new Map(scopes.map((scope, at) => [scope, at]));
  doing.scopes = [
    ...doing.scopes,
    ...groups.filter((group) => !kept.includes(group)).flatMap((group) => group.scopes),
  ].sort((a, b) => order.get(a)! - order.get(b)!);
  if (kept.length === 1) return [{ title: courseTitle, scopes: [...scopes] }];
  return kept.flatMap((group) =>
    inParts(
      { title: labels.moments[group.moment], scopes: group.scopes },
      group.moment === 'doing' ? labels.moments.more : undefined,
    ),
  );
}

/** The moment that a title tells by itself; undefined where it tells none. */
export const titledMoment = (title: string): Moment | undefined =>
  TITLED.find(([, pattern]) => pattern.test(title.trim()))?.[0];

function momentOf({ title, sections }: Scope, place: number, unitOf: (passageId: string) => Unit): Moment {
  const titled = titledMoment(title);
  if (titled && (titled !== 'before' || place < 0.5) && (titled !== 'after' || place > 0.5)) return titled;
  const units = new Set(passagesOf({ sections }).map(unitOf));
  const share = (test: (unit: Unit) => boolean) => [...units].filter(test).length / Math.max(1, units.size);
  if (place < 0.3 && share((unit) => unit.kind === 'terms') > 0.5) return 'before';
  return share((unit) => unit.kind === 'warning') > 0.5 ? 'trouble' : 'doing';
}

/**
 * A module of very many lessons as several: the second of the work goes on with it, others are called by their
 * weightiest lesson.
 */
function inParts(group: ScopeGroup, more: string | undefined): ScopeGroup[] {
  const count = Math.ceil(group.scopes.length / MOST);
  if (count < 2) return [group];
  const each = Math.ceil(group.scopes.length / count);
  const parts = Array.from({ length: count }, (_, at) => group.scopes.slice(at * each, (at + 1) * each)).filter(
    (part) => part.length > 0,
  );
  return parts.map((scopes, at) => ({
    title:
      at === 0
        ? group.title
        : (at === 1 && more) || scopes.reduce((most, scope) => (scope.weight > most.weight ? scope : most)).title,
    scopes,
  }));
}
