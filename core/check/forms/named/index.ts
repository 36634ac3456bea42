import type { LanguagePack } from '../../../language/pack';
import { pointsOut } from '../form';
import { ofHeaded } from '../headed';

/** A list of names, as of fields, paths or options: of which of them something is said. */
export const namedQuestions = ofHeaded({
  how: 'names',
  form: 'named',
  stem({ title, said }, { pack }) {
    const words = masked(said, title, pack);
    return words && !pointsOut(words.replace(/^(?:this|the)\s+\S+/i, '')) ? pack.questions?.saidOf?.(words) : undefined;
  },
  answer: ({ title }) => title,
  level: 'recall',
  score: 0.75,
});

/** What is said with its name masked; undefined where words of the name stand in it besides. */
function masked(said: string, name: string, { stems }: LanguagePack): string | undefined {
  const bare = said.replace(/[\s.;]+$/, '').replaceAll(name, '…');
  const own = new Set(stems(name));
  return stems(bare).some((stem) => own.has(stem)) || bare.replace(/…/g, '').trim().split(/\s+/).length < 3
    ? undefined
    : bare;
}
