import type { LearnerEvent } from '../../core/learning/state';
import type { AttemptRow } from '../database/releases';

/** What a learner did, or was done with it, out of its row. */
export function eventOf(row: AttemptRow): LearnerEvent {
  const of = { id: row.id, lesson: row.lesson_id, at: row.made_at };
  const said = row.answer === null ? undefined : (JSON.parse(row.answer) as unknown);
  switch (row.kind) {
    case 'answer':
      return { ...of, kind: 'answer', check: row.check_id!, response: said };
    case 'mark':
      return { ...of, kind: 'mark', check: row.check_id!, ...markIn(said) };
    case 'grant':
      return { ...of, kind: 'grant', ...(said as { minutes?: number; tries?: number }) };
    default:
      return { ...of, kind: row.kind };
  }
}

/** A mark as it is stored: a number, with what is said to it where something is. */
const markIn = (stored: unknown): StoredMark =>
  typeof stored === 'number' ? { score: stored } : (stored as StoredMark);
type StoredMark = Pick<LearnerEvent & { kind: 'mark' }, 'score' | 'said' | 'given' | 'by'>;

/** The row of an event on a release. */
export function attemptOf(event: LearnerEvent & { at: number }, release: string, receivedAt: number): AttemptRow {
  const said = saidOf(event);
  return {
    id: event.id,
    release_id: release,
    kind: event.kind,
    lesson_id: event.lesson,
    check_id: 'check' in event ? event.check : null,
    answer: said === undefined ? null : JSON.stringify(said),
    made_at: event.at,
    received_at: receivedAt,
  };
}

/** What an event says beside where it belongs. */
function saidOf(event: LearnerEvent): unknown {
  if (event.kind === 'answer') return event.response;
  if (event.kind === 'mark') return markOf(event);
  return event.kind === 'grant' ? { minutes: event.minutes, tries: event.tries } : undefined;
}

const markOf = ({ score, said, given, by }: StoredMark) =>
  said || given || by ? { score, ...(said && { said }), ...(given && { given }), ...(by && { by }) } : score;
