import type { DecisionWording } from '../../../language/pack';
import {
  alike,
  asOption,
  quoteOf,
  type Candidate,
  type Deed,
  type QuestionMatter,
  type Said,
  type Turn,
} from '../form';
import { sentencesBefore, situationOf } from '../practice';
import { count } from '../rows';
import { stepsOf } from '../step';
import { storyOf, TURNS, WRONG } from './story';
import { distinct, temptationsAt } from './temptations';

/** Of a procedure the beginning is decided: what comes late is remembered by what is before it. */
const DECIDED = 3;
const FEWEST = 4;
const LONGEST = 20;
/** Says when or after what it is done. */
const NOT_ALONE = /\b(?:again|next|first|last|if|unless|repeat)\b|[:`{}<>|]|https?:/i;

/**
 * What is done when something happens, one thing after another: what comes later tempts, and what must never be done.
 * Only procedures that begin with a case: others are known by heart, not decided.
 */
export const ofProcedures = (matter: QuestionMatter, wording: DecisionWording): Candidate[] =>
  matter.blocks.flatMap((block, at): Candidate[] => {
    if (block.kind !== 'steps') return [];
    const steps = stepsOf(block);
    // What must not be done holds at every step.
    const isDeed = ({ about, words }: (typeof steps)[number]) =>
      about.ranges.length > 0 && count(words) <= LONGEST && !NOT_ALONE.test(words) && !matter.pack.denies?.(words);
    const leadIn = sentencesBefore(matter.blocks[at - 1], matter);
    const fact = situationOf(leadIn, matter) || wording.fact(leadIn);
    if (!fact || steps.length < FEWEST) return [];
    const about = matter.pack.stems([fact, ...steps.map(({ words }) => words)].join(' '));
    const turns: { turn: Turn; about: Said[] }[] = [];
    // What has happened is said once, wherever the deciding begins.
    const sceneAt = (place: number, begins: boolean) =>
      place === 0 ? wording.first(fact) : `${begins ? `${fact} ` : ''}${wording.then(steps[place - 1].words)}`;
    for (const [place, step] of steps.slice(0, DECIDED).entries()) {
      if (!isDeed(step)) continue;
      const later = steps
        .slice(place + 1)
        .filter((other) => isDeed(other) && !alike(other.words, step.words, matter.pack))
        .reverse();
      const words = [step.words, ...later.map((other) => other.words)];
      const never = distinct(
        temptationsAt({ id: step.about.ranges[0].id, stems: about, shares: 1 }, matter),
        words,
        matter,
      ).slice(0, 1);
      const early = later.slice(0, WRONG.most - never.length);
      if (early.length + never.length < WRONG.fewest) continue;
      turns.push({
        about: [step.about, ...never, ...early.map((other) => other.about)],
        turn: {
          text: sceneAt(place, turns.length === 0),
          right: deedOf(step.about, step.words, wording.holds(step.words)),
          wrong: [
            ...never.map((claim) => deedOf(claim, claim.rule!.action, wording.never(claim.text))),
            ...early.map((other) => deedOf(other.about, other.words, wording.later)),
          ],
        },
      });
    }
    if (turns.length < TURNS.fewest) return [];
    return [
      storyOf(
        { ...matter, title: fact },
        wording,
        turns.map(({ turn }) => turn),
        turns.flatMap((each) => each.about),
        0.78,
      ),
    ];
  });

const deedOf = (about: Said, text: string, follows: string): Deed => ({
  text: asOption(text),
  follows,
  quotes: [quoteOf(about)],
});
