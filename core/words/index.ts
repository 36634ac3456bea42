import { de } from './de';
import { en } from './en';
import { es } from './es';
import { fr } from './fr';
import type { Words } from './words';

export type { Words } from './words';

const ALL: Record<string, Words> = { en, de, fr, es };

/** The words of a language; English where there are none, which `missing` says. */
export function wordsFor(language: string): { words: Words; language: string; missing: boolean } {
  const code = language.split('-')[0];
  return Object.hasOwn(ALL, code)
    ? { words: ALL[code], language: code, missing: false }
    : { words: en, language: 'en', missing: code !== 'und' };
}

/** A text with its values put in. */
export function say(text: string, values: Record<string, string | number> = {}): string {
  return text.replace(/\{(\w+)\}/g, (whole, name: string) =>
    Object.hasOwn(values, name) ? String(values[name]) : whole,
  );
}
