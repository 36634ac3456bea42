import type { Flaw, LintTools } from './lint';
import { sameTexts } from './lint';
import type { Option } from './options';

const OPTIONS = { fewest: 3, most: 6 };
/** The right answer stands out when it is longer than the longest wrong one by so much, and so many letters. */
const LONGER = { times: 1.6, letters: 18 };
/** Words that only the right answer shares with the question give it away. */
const SHARED = { words: 2, ofShort: 1, short: 3, letters: 5 };

/** Flaws of answers that are chosen from: `keys` are the right ones. */
export function optionFlaws(
  { stem, options, said }: { stem: string; options: readonly Option[]; said?: { wrong?: string } },
  keys: readonly string[],
  tools: LintTools,
): Flaw[] {
  const { has, telling } = tools;
  const right = options.filter(({ id }) => keys.includes(id));
  const wrong = options.filter(({ id }) => !keys.includes(id));
  const without = (id: string) =>
    options.length > OPTIONS.fewest && !keys.includes(id)
      ? { mend: { options: options.filter((option) => option.id !== id) } }
      : {};
  const flaws: Flaw[] = [];
  if (options.length < OPTIONS.fewest) flaws.push({ code: 'few' });
  if (options.length > OPTIONS.most) flaws.push({ code: 'many' });
  for (const { id, text } of options)
    if (has(text, 'allOf')) flaws.push({ code: 'all-of-these', at: id, ...without(id) });
  for (const [, at] of sameTexts(
    options.map(({ text }) => text),
    tools,
  ))
    flaws.push({ code: 'alike', at: options[at].id, ...without(options[at].id) });
  const longest = Math.max(0, ...wrong.map(({ text }) => text.length));
  const out = right.find(
    ({ text }) => wrong.length > 0 && text.length >= longest * LONGER.times && text.length - longest >= LONGER.letters,
  );
  if (out) flaws.push({ code: 'longest', at: out.id });
  const silent = wrong.filter(({ feedback: { code, quotes, text } }) => code === 'own' && !text && quotes.length === 0);
  if (silent.length > 0 && !said?.wrong) flaws.push({ code: 'silent', at: silent[0].id });
  const firmly = (which: 'absolute' | 'vague') =>
    wrong.filter(({ text }) => has(text, which)).length >= 2 && !right.some(({ text }) => has(text, which));
  if (firmly('absolute')) flaws.push({ code: 'absolute' });
  else if (firmly('vague')) flaws.push({ code: 'vague' });
  const turned = tools.negates(stem) || has(stem, 'forbidding') || has(stem, 'negative');
  const twice =
    options.find(({ text }) => turned && has(text, 'negative', true)) ??
    options.find(({ text }) => turned && has(text, 'forbidding', true));
  if (twice) flaws.push({ code: 'twice-negative', at: twice.id });
  const asked = new Set(telling(stem));
  const shared = ({ text }: Option) => [...new Set(telling(text))].filter((word) => asked.has(word));
  const most = Math.max(0, ...wrong.map((option) => shared(option).length));
  const given = right.find((option) => {
    const own = shared(option);
    const more = own.length - most;
    return (
      more >= SHARED.words ||
      (more >= SHARED.ofShort &&
        telling(option.text).length <= SHARED.short &&
        own.some((word) => word.length >= SHARED.letters))
    );
  });
  if (given && right.length === 1) flaws.push({ code: 'given-away', at: given.id });
  return flaws;
}
