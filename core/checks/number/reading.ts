/**
 * The number that somebody typed, in the way of a language: "1,500" is 1500 in English and 1.5 in German. Undefined
 * where it is none, or has more in it than one number.
 */
export function readNumber(typed: string, language: string): number | undefined {
  const bare = typed
    .trim()
    .replace(/[\s\u00a0\u202f'’]/g, '')
    .replace(/^[+]/, '')
    .replace('\u2212', '-');
  if (!/^-?(?:\d[\d.,]*|[.,]\d+)$/.test(bare)) return undefined;
  const point = new Intl.NumberFormat(language).format(1.5).charAt(1) === ',' ? ',' : '.';
  const group = point === ',' ? '.' : ',';
  const byLanguage = bare.split(group);
  const grouped = byLanguage.length > 1 && byLanguage.slice(1).every((part) => /^\d{3}(?:\D|$)/.test(part));
  // The other language's point, where it can be nothing else: "1,5" in English.
  const plain =
    byLanguage.length === 1
      ? bare.replace(point, '.')
      : grouped
        ? byLanguage.join('').replace(point, '.')
        : byLanguage.length === 2 && !bare.includes(point)
          ? bare.replace(group, '.')
          : '';
  return /^-?(?:\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : undefined;
}
