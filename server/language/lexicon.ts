import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Lexicon } from '../../core/language/en/lexicon';
import type { KnownWord } from '../../core/source/line-ends';
import { assetFolder } from '../assets';

let loaded: Lexicon | undefined;

/** The English word list; it is loaded when first asked for. */
export function lexicon(): Lexicon {
  return (loaded ??= JSON.parse(readFileSync(join(assetFolder(), 'lexicon-en.json'), 'utf8')) as Lexicon);
}

/** The words of a language, where there is a list. */
export function wordsIn(language: string): KnownWord | undefined {
  return language.split('-')[0] === 'en' ? (word) => Object.hasOwn(lexicon(), word) : undefined;
}
