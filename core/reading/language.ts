import { franc } from 'franc-min';
import type { ReadBlock } from '../source/blocks';

const TAGS: Record<string, string> = {
  eng: 'en',
  deu: 'de',
  fra: 'fr',
  spa: 'es',
  ita: 'it',
  por: 'pt',
  nld: 'nl',
  swe: 'sv',
  dan: 'da',
  nob: 'no',
  fin: 'fi',
  pol: 'pl',
  ces: 'cs',
  slk: 'sk',
  hun: 'hu',
  ron: 'ro',
  bul: 'bg',
  rus: 'ru',
  ukr: 'uk',
  tur: 'tr',
  ell: 'el',
  arb: 'ar',
  pes: 'fa',
  heb: 'he',
  hin: 'hi',
  jpn: 'ja',
  cmn: 'zh',
  kor: 'ko',
  vie: 'vi',
  tha: 'th',
  ind: 'id',
};

/** The language of running text as a BCP 47 tag, by its letters' habits; `und` when there is too little to tell. */
export function detectLanguage(blocks: readonly ReadBlock[]): string {
  const prose = blocks.flatMap((block) =>
    block.kind === 'heading' || block.kind === 'picture' || block.kind === 'code' ? [] : [block.text],
  );
  const step = Math.max(1, Math.floor(prose.length / 60));
  const sample = prose
    .filter((_, index) => index % step === 0)
    .join('\n')
    .slice(0, 12_000);
  return TAGS[franc(sample, { minLength: 40, only: Object.keys(TAGS) })] ?? 'und';
}

/** A language tag as documents write it ("en_GB", "DE-de"), brought into form; undefined when it is none. */
export function languageTag(said: string | undefined): string | undefined {
  const [, language, region] = /^([a-z]{2,3})(?:[-_]([a-z]{2}|\d{3}))?\b/i.exec(said ?? '') ?? [];
  if (!language || /^(und|zxx)$/i.test(language)) return undefined;
  return region ? `${language.toLowerCase()}-${region.toUpperCase()}` : language.toLowerCase();
}
