import type { LeftOut, LeftOutReason } from '../course/left-out';
import type { PassageRange } from '../document/rich-text';
import { sentenceKey } from '../unit/units';
import type { OutlineProposal } from '../outline';
import type { DraftContext } from './context';
import type { CoursePlan } from './plan';

/**
 * Everything of the sources that a plan teaches nowhere, whole units first and single sentences of units that are
 * taught, each for one reason, in the order of the sources.
 */
export function leftOutOf(
  { dropped }: Pick<OutlineProposal, 'dropped'>,
  { modules, without }: CoursePlan,
  { sources, matter }: DraftContext,
): LeftOut[] {
  const lessons = modules.flatMap((module) => module.lessons);
  const shown = new Set(
    lessons.flatMap((lesson) =>
      lesson.parts.flatMap((part) =>
        part.items.flatMap((item) =>
          item.sentences.length > 0 ? item.sentences.map((used) => sentenceKey(used.sentence)) : [item.passage.id],
        ),
      ),
    ),
  );
  const named = new Map(dropped.flatMap(({ passages, reason }) => passages.map((id) => [id, reason] as const)));
  const left: LeftOut[] = [];
  for (const { units } of sources) {
    for (const unit of units) {
      let last: LeftOut | undefined;
      for (const id of unit.passages) {
        for (const { key, range } of stretchesOf(id, matter)) {
          if (shown.has(key)) {
            last = undefined;
            continue;
          }
          const room = without.get(unit.id);
          const reason: LeftOutReason =
            unit.noise ??
            (matter.noise.get(key) as LeftOutReason | undefined) ??
            (matter.said.has(key) ? 'repeated' : named.get(id)) ??
            (room === 'light' ? 'light' : room === 'topic' ? 'size' : matter.known.length > 0 ? 'known' : 'size');
          if (last?.reason === reason) last.passages.push(range);
          else left.push((last = { passages: [range], reason }));
        }
      }
    }
  }
  return left;
}

/** What of a passage is shown or left out by itself: its sentences; code as a whole. */
function stretchesOf(id: string, matter: DraftContext['matter']): { key: string; range: PassageRange }[] {
  const { sentences, passages } = matter.of(id);
  const own = sentences.get(id);
  if (!own) return [{ key: id, range: { id, from: 0, to: passages.get(id)!.text.length } }];
  return own.map((sentence) => ({ key: sentenceKey(sentence), range: { id, from: sentence.from, to: sentence.to } }));
}
