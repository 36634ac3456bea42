import { withoutStart, type ReadBlock, type ReadPassage } from './blocks';

/** A number, letter or bullet that was typed before an item, though it is one already. */
const TYPED = /^(?:\(?(\d{1,2})[.)]|[a-h][.)]|[•‣◦▪●○·–—*-])\s+(?=\S)/u;
/** From this share of its items on, a list has typed marks. */
const MOST = 0.6;

/**
 * Takes typed numbers and bullets off the items of lists and points of slides, once; the text behind them stays.
 * Numbers that count up from one make a list ordered, and points that were no list one.
 */
export function settleListMarks(blocks: readonly ReadBlock[]): ReadBlock[] {
  const settled = [...blocks];
  for (let from = 0; from < settled.length;) {
    let to = from + 1;
    while (to < settled.length && sameGroup(settled[from], settled[to])) to++;
    const group = settled.slice(from, to) as ReadPassage[];
    const typed = isListed(settled[from]) ? group.filter((block) => TYPED.test(block.text)) : [];
    if (typed.length >= 2 && typed.length >= group.length * MOST) {
      const numbers = typed.flatMap((block) => {
        const said = TYPED.exec(block.text)![1];
        return said ? [Number(said)] : [];
      });
      const counts = numbers.length === typed.length && numbers.every((number, at) => number === at + 1);
      const key = group[0].list?.key ?? `typed.${from}`;
      group.forEach((block, at) => {
        const bare = withoutStart(block, TYPED.exec(block.text)?.[0].length ?? 0);
        settled[from + at] = {
          ...bare,
          list: { ...(block.list ?? { key, depth: 0 }), ordered: counts || (block.list?.ordered ?? false) },
        };
      });
    }
    from = to;
  }
  return settled;
}

const isListed = (block: ReadBlock): boolean =>
  block.kind === 'point' || (block.kind === 'item' && block.list !== undefined);

/** Items of one list, or points of one slide that belong to no list. */
function sameGroup(first: ReadBlock, next: ReadBlock): boolean {
  if (!isListed(first) || !isListed(next) || first.kind !== next.kind) return false;
  const [a, b] = [first as ReadPassage, next as ReadPassage];
  return a.list?.key === b.list?.key && a.slide === b.slide;
}
