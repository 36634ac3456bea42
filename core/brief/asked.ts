import type { AskedFor } from '../reading/answers';
import { INTERVIEW, overAnswer } from './interview';
import { slotReads } from './plans';

/**
 * How the answer to a question is to be read, in the course's language. A question that is none of the interview's
 * stands over its answer itself, without what only helps to answer it ("One a line.").
 */
export function readingOf(question: string, language: string): AskedFor {
  const asked = INTERVIEW.find((each) => each.question === question);
  const over = asked ? overAnswer(asked, language) : (/^.*?[?？]/s.exec(question)?.[0] ?? question);
  const reads = asked ? asked.reads : slotReads(question);
  return { ...(over && { over }), ...(reads && { reads }) };
}
