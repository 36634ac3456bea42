import { idFrom } from '../document/id';
import type { CheckFrame, CheckPicture } from './check';
import { area, type AreaView } from './area/marking';
import { choice, type ChoiceSecret, type ChoiceView } from './choice/marking';
import type { Check, CheckKind, CheckKinds } from './forms';
import type { BitReader, BitWriter, CheckMarking, Feedback, GivenMark, Interaction, Mark } from './marking';
import { match, type MatchView } from './match/marking';
import { number, type NumberSecret, type NumberView } from './number/marking';
import { open, type OpenSecret, type OpenView } from './open/marking';
import { order, type OrderSecret, type OrderView } from './order/marking';
import type { PairingSecret } from './pairing';
import { scenario, type ScenarioSecret, type ScenarioView } from './scenario/marking';
import { several, type SeveralSecret } from './several/marking';
import { short, type ShortSecret } from './short/marking';
import { sort, type SortView } from './sort/marking';
import { task, type HandedIn, type TaskSecret, type TaskView } from './task/marking';
import { truth, type TruthSecret } from './truth/marking';

export type {
  BitReader,
  BitWriter,
  Feedback,
  GivenMark,
  Interaction,
  JudgedCriterion,
  Mark,
  Story,
  StoryStep,
} from './marking';
export type { HandedFile, HandedIn } from './task/marking';

/** What a learner gets of a check of each kind, and what is kept from them. */
export interface CheckViews {
  choice: ChoiceView;
  several: ChoiceView;
  truth: object;
  order: OrderView;
  match: MatchView;
  sort: SortView;
  number: NumberView;
  short: object;
  open: OpenView;
  area: AreaView;
  scenario: ScenarioView;
  task: TaskView;
}
interface CheckSecrets {
  choice: ChoiceSecret;
  several: SeveralSecret;
  truth: TruthSecret;
  order: OrderSecret;
  match: PairingSecret;
  sort: PairingSecret;
  number: NumberSecret;
  short: ShortSecret;
  open: OpenSecret;
  area: SeveralSecret;
  scenario: ScenarioSecret;
  task: TaskSecret;
}

/** What learners get of every check: the frame without key, feedback and evidence. */
export interface LearnerFrame {
  id: string;
  stem: string;
  points?: number;
  required?: boolean;
  picture?: CheckPicture;
}

/** A check as a learner gets it: no key, no feedback, no evidence. */
export type LearnerCheck = { [Kind in CheckKind]: LearnerFrame & { kind: Kind } & CheckViews[Kind] }[CheckKind];

/** What marking needs of a check; it is kept away from the learner until it may be seen. */
export type Secret = {
  [Kind in CheckKind]: { kind: Kind; said?: CheckFrame['said'] } & CheckSecrets[Kind];
}[CheckKind];

/** What learners answer, by kind. */
interface Responses {
  choice: string;
  several: string[];
  truth: boolean;
  order: string[];
  match: Record<string, string>;
  sort: Record<string, string>;
  number: number;
  short: string;
  open: string;
  area: string[];
  scenario: string[];
  task: HandedIn;
}
type Response<Kind extends CheckKind> = Responses[Kind];
type Marking = CheckMarking<Check, unknown, unknown, unknown>;

// The responses of a kind are its own matter: outside of its folder nobody looks into one.
const MARKINGS: {
  [Kind in CheckKind]: CheckMarking<CheckKinds[Kind], CheckViews[Kind], CheckSecrets[Kind], Response<Kind>>;
} = { choice, several, truth, order, match, sort, number, short, open, area, scenario, task };
const markingOf = ({ kind }: { kind: CheckKind }) => MARKINGS[kind] as unknown as Marking;

/** A check as a learner gets it, and what is kept from them. `mixed` settles the ids a learner sees. */
export function splitCheck(check: Check, mixed: string): { view: LearnerCheck; secret: Secret } {
  const { id, kind, said } = check;
  const mix = (own: string) => idFrom('a', mixed, id, own);
  const marking = markingOf(check);
  return {
    view: { ...frameOf(check), ...(marking.view(check, mix) as object) } as LearnerCheck,
    secret: { kind, ...(said && { said }), ...(marking.secret(check, mix) as object) } as Secret,
  };
}

/** A check with what can be chosen from in another order; as it is where the order is its author's, or its matter. */
export function reordered(
  view: LearnerCheck,
  order: <Item extends { id: string }>(items: readonly Item[]) => Item[],
): LearnerCheck {
  return (markingOf(view).reordered?.(view, order) as LearnerCheck | undefined) ?? view;
}

/** Marks a response: the one scoring of app and packages. Undefined when it is none to this check. */
export function mark(secret: Secret, response: unknown): Mark | undefined {
  const marking = markingOf(secret);
  const read = marking.read(response, secret);
  if (read === undefined) return undefined;
  const marked = marking.mark(secret, read);
  const general = marked.score === 1 ? secret.said?.right : secret.said?.wrong;
  return general && marked.state === 'marked'
    ? { ...marked, feedback: { code: 'own', quotes: [], ...marked.feedback, general } }
    : marked;
}

/** What was handed in, where a check asks for that; undefined for any other. */
export function handedIn(secret: Secret | undefined, response: unknown): HandedIn | undefined {
  return secret?.kind === 'task' ? task.read(response, secret) : undefined;
}

/** What is said to a response by a mark that was given to it in parts; undefined where its kind has none. */
export function judged(secret: Secret, given: GivenMark): Feedback | undefined {
  return markingOf(secret).judged?.(secret, given);
}

/** A check as it is where no person marks: what a person would mark, learners compare themselves. */
export function markedAlone(view: LearnerCheck, secret: Secret): { view: LearnerCheck; secret: Secret } {
  const alone = markingOf(secret).alone?.({ view, secret });
  return alone
    ? { view: { ...frameOf(view), ...(alone.view as object) } as LearnerCheck, secret: alone.secret as Secret }
    : { view, secret };
}

/** Whether a check becomes another where no person marks. */
export const needsPerson = (view: LearnerCheck, secret: Secret): boolean =>
  JSON.stringify(markedAlone(view, secret).secret) !== JSON.stringify(secret);

/** What every check has for learners. */
const frameOf = ({ id, kind, stem, points, required, picture }: LearnerFrame & { kind: CheckKind }) => ({
  id,
  kind,
  stem,
  ...(points !== undefined && { points }),
  ...(required && { required }),
  ...(picture && { picture }),
});

/** Whether responses of a kind are typed words. */
export const isTypedKind = (view: LearnerCheck): boolean => markingOf(view).typed === true;

/**
 * Whether a response takes one before it further, as a way through a story that has not come to its end. Where kinds
 * have no such steps, never.
 */
export function goesOn(secret: Secret, before: unknown, response: unknown): boolean {
  const marking = markingOf(secret);
  const [was, now] = [marking.read(before, secret), marking.read(response, secret)];
  return was !== undefined && now !== undefined && (marking.goesOn?.(was, now) ?? false);
}

/** A response in words, a line each; none where it is no response to this check. */
export function saidIn(view: LearnerCheck, secret: Secret, response: unknown): string[] {
  const marking = markingOf(view);
  const read = marking.read(response, secret);
  return read === undefined ? [] : marking.said(view, read, secret);
}

/** The right response and what is said to it, for when nothing can be won by knowing it. */
export function solutionOf(secret: Secret): { response: unknown; feedback?: Feedback } {
  return markingOf(secret).solution(secret);
}

/** Writes a response into a packed state, and reads it back; undefined for one that could not be kept. */
export function packResponse(view: LearnerCheck, response: unknown, bits: BitWriter): void {
  markingOf(view).pack(view, response, bits);
}
export function unpackResponse(view: LearnerCheck, bits: BitReader): unknown {
  return markingOf(view).unpack(view, bits);
}

/** A response as reports of learning platforms name it. */
export function interactionOf(view: LearnerCheck, response: unknown): Interaction | undefined {
  return markingOf(view).interaction(view, response);
}
