import { idFrom } from '../../document/id';
import type { RichText } from '../../document/rich-text';
import { richSentence, richSentences } from '../../lesson/rich';
import { codeLines, codeOf, standsApart } from '../code/draft';
import type { BlockDraft } from '../draft';

export const steps: BlockDraft = (part, place) => {
  const id = idFrom('b', place);
  const steps: { text: RichText; detail?: RichText[] }[] = [];
  for (const { passage, sentences } of part.items) {
    if (standsApart(passage)) continue;
    const last = steps.at(-1);
    if (last && ((passage.list?.depth ?? 0) > 0 || passage.list?.continued || passage.kind === 'code'))
      last.detail = [
        ...(last.detail ?? []),
        ...(passage.kind === 'code' ? codeLines(passage, id) : [richSentences(sentences, id)]),
      ];
    else {
      const [first, ...rest] = sentences;
      if (first)
        steps.push({ text: richSentence(first, id), ...(rest.length > 0 && { detail: [richSentences(rest, id)] }) });
    }
  }
  return [...(steps.length > 0 ? [{ id, kind: 'steps' as const, body: { steps } }] : []), ...codeOf(part, place)];
};
