/**
 * Letters of other scripts, and signs, that look like a Latin one (after Unicode's list of confusables, the small
 * letters in use).
 */
const LIKE: Record<string, string> = {
  а: 'a',
  в: 'b',
  с: 'c',
  ԁ: 'd',
  е: 'e',
  ѕ: 's',
  і: 'i',
  ј: 'j',
  к: 'k',
  м: 'm',
  н: 'h',
  о: 'o',
  р: 'p',
  ԛ: 'q',
  г: 'r',
  т: 't',
  у: 'y',
  ѵ: 'v',
  ԝ: 'w',
  х: 'x',
  ь: 'b',
  α: 'a',
  β: 'b',
  ε: 'e',
  η: 'n',
  ι: 'i',
  κ: 'k',
  ν: 'v',
  ο: 'o',
  ρ: 'p',
  σ: 'o',
  τ: 't',
  υ: 'u',
  χ: 'x',
  γ: 'y',
  ω: 'w',
  ı: 'i',
  ł: 'l',
  ø: 'o',
  đ: 'd',
  ħ: 'h',
  ŧ: 't',
  ɡ: 'g',
  ɑ: 'a',
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  0: 'o',
  1: 'l',
  5: 's',
};

/** A sign-in name as it is compared: case and writing forms aside. */
export function foldedLogin(login: string): string {
  return login.normalize('NFKC').toLowerCase();
}

/** What a sign-in name looks like: two names of one look could be taken for each other. */
export function lookOf(login: string): string {
  const bare = foldedLogin(login)
    .normalize('NFKD')
    .replace(/[\p{M}._@\p{Pd}]+/gu, '');
  return [...bare]
    .map((letter) => LIKE[letter] ?? letter)
    .join('')
    .replaceAll('rn', 'm')
    .replaceAll('vv', 'w')
    .replaceAll('i', 'l');
}

const SCRIPTS = [
  'Latin',
  'Cyrillic',
  'Greek',
  'Arabic',
  'Hebrew',
  'Han',
  'Hangul',
  'Hiragana',
  'Katakana',
  'Devanagari',
  'Thai',
].map((name) => new RegExp(`\\p{Script=${name}}`, 'u'));

/** Whether a name mixes letters of several scripts, as names made to deceive do. */
export function mixesScripts(login: string): boolean {
  return SCRIPTS.filter((script) => script.test(login)).length > 1;
}

/** Whether a password can be guessed without trying: few different signs, or the sign-in name in it. */
export function isWeakPassword(password: string, login: string): boolean {
  const signs = new Set(password.normalize('NFKC').toLowerCase());
  return signs.size < 5 || (login.length >= 4 && password.toLowerCase().replaceAll(login.toLowerCase(), '').length < 6);
}
