import type { Block } from '../../../blocks/forms';
import { idFrom } from '../../../document/id';
import { textOf } from '../../../document/rich-text';
import type { Claim } from '../../../knowledge';
import { contained } from '../../../language/similarity';
import { quoteOf, type Candidate, type QuestionForm, type QuestionMatter, type Said } from '../form';
import { allOf } from '../rows';
import { stepsOf } from '../step';

/** A procedure of fewer steps is no task, and of more too much to be told in one go. */
const STEPS = { fewest: 3, most: 8 };
/** A step of more letters is a paragraph. */
const LONGEST = 240;
/** Limits and prohibitions that are held beside the steps. */
const RULES = 3;
/** A rule that has so many of the procedure's words is about the same. */
const SAME = 0.3;
/** A rule whose words are the step's over again is the step. */
const AGAIN = 0.7;

/**
 * A procedure as a task to be done and handed in: its case is the situation, each step a criterion, and so are limits
 * and prohibitions of its lesson on the same things. Its own words are the model answer.
 */
export const practiceQuestions: QuestionForm = (matter) =>
  matter.blocks.flatMap((block, at): Candidate[] => {
    const wording = matter.pack.questions?.practice;
    if (block.kind !== 'steps' || !wording) return [];
    const steps = stepsOf(block);
    // Read one after another, a step may point to the one before it.
    const whole = steps.every(({ about, words }) => about.ranges.length > 0 && words.length <= LONGEST);
    if (steps.length < STEPS.fewest || steps.length > STEPS.most || !whole) return [];
    const leadIn = sentencesBefore(matter.blocks[at - 1], matter);
    const setting = situationOf(leadIn, matter);
    const held: Said[] = [...steps.map(({ about }) => about), ...rulesOn(steps, matter)];
    return [
      {
        form: 'practice',
        about: allOf(idFrom('c', block.id, 'practice'), held),
        stem: wording.stem(headingOver(matter.blocks, at) ?? matter.title, setting !== ''),
        asks: {
          kind: 'task',
          setting,
          criteria: held.map((each) => ({ text: asSentence(each.text), quotes: [quoteOf(each)] })),
          levels: wording.levels,
          model: steps.map(({ words }) => asSentence(words)).join(' '),
        },
        quotes: [],
        level: 'apply',
        difficulty: 0.5,
        score: setting ? 0.8 : 0.74,
        reasons: [`steps:${steps.length}`],
      },
    ];
  });

/** The heading that a part of a page stands under, where it is one of the page itself. */
function headingOver(blocks: readonly Block[], at: number): string | undefined {
  const heading = blocks.slice(0, at).findLast(({ kind }) => kind === 'heading');
  return heading?.kind === 'heading' ? textOf(heading.body.text).trim() : undefined;
}

/** An item of a list as a sentence of its own. */
function asSentence(words: string): string {
  const bare = words.trim().replace(/\s*[;,]$/, '');
  const whole = /[.!?…"”’]$/.test(bare) ? bare : `${bare}.`;
  return `${whole[0].toUpperCase()}${whole.slice(1)}`;
}

/** The words of the paragraph that a procedure stands under. */
export const sentencesBefore = (block: Block | undefined, { pack }: QuestionMatter): string => {
  const text = block?.kind === 'text' ? textOf(block.body.text).trim() : '';
  const last = pack.sentences(text).at(-1);
  return last ? text.slice(last.from, last.to).trim() : '';
};

/** The case that a lead-in names, told as what has happened; empty where it names none. */
export function situationOf(leadIn: string, { pack }: QuestionMatter): string {
  const tags = leadIn && pack.tags?.(leadIn);
  const found = tags ? pack.caseOf?.(leadIn, tags) : undefined;
  if (!found) return '';
  const words = leadIn.slice(found.when.from, found.when.to).replace(/^\S+\s+/, '');
  return `${words[0].toUpperCase()}${words.slice(1)}.`;
}

/** What the lesson limits or forbids on the things of the steps, other than the steps themselves. */
function rulesOn(steps: readonly { words: string }[], { lesson, pack }: QuestionMatter): Claim[] {
  const procedure = new Set(steps.flatMap(({ words }) => pack.stems(words)));
  const isAbout = (claim: Claim) => contained(pack.stems(claim.text), procedure) >= SAME;
  const isStep = (claim: Claim) =>
    steps.some(({ words }) => contained(pack.stems(words), new Set(pack.stems(claim.text))) >= AGAIN);
  const binds = ({ rule, leaning }: Claim) =>
    leaning === undefined &&
    rule?.strength === 'must' &&
    !rule.condition &&
    !rule.exception &&
    (rule.subject === undefined || rule.person) &&
    (rule.negative || rule.deadline !== undefined);
  return lesson.filter((claim) => binds(claim) && isAbout(claim) && !isStep(claim)).slice(0, RULES);
}
