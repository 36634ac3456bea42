import { createRequire } from 'node:module';
import type winkNLP from 'wink-nlp';
import { englishPack } from '../../core/language/en';
import type { LanguagePack, TaggedWord } from '../../core/language/pack';
import { german } from '../../core/language/de';
import { spanish } from '../../core/language/es';
import { french } from '../../core/language/fr';
import { patternPack } from '../../core/language/pattern';
import type { PatternRules } from '../../core/language/pattern/rules';
import { plainPack } from '../../core/language/plain';
import { lexicon } from './lexicon';
import { remembered } from '../utils/remembered';

/** Languages understood in part: by their words, without parts of speech. */
const PATTERNS: Record<string, PatternRules> = { de: german, fr: french, es: spanish };

/** Languages in use at a time; whatever tags documents bring, no more are held. */
const packs = remembered<LanguagePack>({ most: 12 });

/**
 * The pack of a language, made once: the word list is loaded when English is first asked for, the tagger when a
 * sentence is first tagged.
 */
export function packFor(language: string): LanguagePack {
  return packs.of(language, () => {
    const [base] = language.split('-');
    if (base === 'en') return englishPack(language, lexicon(), tagger());
    return PATTERNS[base] ? patternPack(language, PATTERNS[base]) : plainPack(language);
  });
}

/** Part-of-speech tags with places in the text; the model is loaded when it is first asked. */
function tagger(): (text: string) => TaggedWord[] {
  const require = createRequire(import.meta.url);
  let loaded: ReturnType<typeof winkNLP> | undefined;
  function load() {
    const wink = require('wink-nlp') as typeof winkNLP;
    const model = require('wink-eng-lite-web-model') as Parameters<typeof wink>[0];
    return wink(model, ['pos']);
  }
  return (text) => {
    const nlp = (loaded ??= load());
    const { its } = nlp;
    const tokens = nlp.readDoc(text).tokens();
    const values = tokens.out(its.value) as string[];
    const tags = tokens.out(its.pos) as string[];
    let at = 0;
    return values.flatMap((value, index) => {
      const from = text.indexOf(value, at);
      if (from < 0) return [];
      at = from + value.length;
      return [{ text: value, from, to: at, tag: tags[index] }];
    });
  };
}
