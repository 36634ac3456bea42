import type { Use } from '../course/uses';
import type { Source } from '../source/source';
import { roughWords } from '../source/words';

/** One stretch of a source's strip: the share of its words that is taught, and of those that are asked too, 0 to 1. */
export interface StripPart {
  taught: number;
  checked: number;
}

/** Parts of a strip: finer than this no eye tells. */
const PARTS = 60;

/**
 * A source from first passage to last in parts of equal words: what of it the course teaches, and what it teaches and
 * asks.
 */
export function stripOf(source: Pick<Source, 'passages'>, uses: ReadonlyMap<string, readonly Use[]>): StripPart[] {
  const sizes = source.passages.map((passage) => Math.max(1, roughWords(passage.text)));
  const total = sizes.reduce((sum, size) => sum + size, 0);
  if (total === 0) return [];
  const parts = Array.from({ length: Math.min(PARTS, source.passages.length) }, () => ({
    words: 0,
    taught: 0,
    checked: 0,
  }));
  const step = total / parts.length;
  let at = 0;
  source.passages.forEach((passage, index) => {
    const own = uses.get(passage.id) ?? [];
    const taught = own.some((use) => !use.check);
    const checked = own.some((use) => use.check !== undefined);
    // A long passage covers several parts.
    for (let left = sizes[index]; left > 1e-9;) {
      const part = Math.min(parts.length - 1, Math.floor(at / step + 1e-9));
      const share = part === parts.length - 1 ? left : Math.min(left, (part + 1) * step - at);
      parts[part].words += share;
      if (taught || checked) parts[part].taught += share;
      if (checked) parts[part].checked += share;
      at += share;
      left -= share;
    }
  });
  const rounded = (value: number) => Math.round(value * 100) / 100;
  return parts.map(({ words, taught, checked }) => ({
    taught: rounded(taught / Math.max(1e-9, words)),
    checked: rounded(checked / Math.max(1e-9, words)),
  }));
}
