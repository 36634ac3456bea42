import { sameTexts, type CheckLint, type Flaw } from '../lint';
import type { OrderCheck } from './form';

const NUMBER = /^\s*(?:\(?\d{1,2}[.):]|\(?[a-z][.)])\s+/i;

export const order: CheckLint<OrderCheck> = ({ items }, tools) => {
  const flaws: Flaw[] = sameTexts(
    items.map(({ text }) => text),
    tools,
  ).map(([, at]) => ({ code: 'alike', at: items[at].id }));
  if (items.every(({ text }) => NUMBER.test(text))) {
    const bare = items.map(({ id, text }) => ({ id, text: text.replace(NUMBER, '') }));
    flaws.push({ code: 'numbered', ...(bare.every(({ text }) => text) && { mend: { items: bare } }) });
  } else if (items.filter(({ text }) => tools.has(text, 'ordinal', true)).length >= 2) flaws.push({ code: 'numbered' });
  return flaws;
};
