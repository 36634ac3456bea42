/** What tells flaws of questions in a language: words as they are written in small letters, or pieces of patterns. */
export interface LintWords {
  /** Words that say nothing of a matter. */
  light: readonly string[];
  /** An answer that stands for all others, or for none. */
  allOf: string;
  /** What turns a clause round; what forbids, where the turning round is the point. */
  negative: string;
  forbidding: string;
  /** Begins a clause that hangs on another. */
  joining: string;
  absolute: string;
  vague: string;
  /** Verbs that make a clause a whole one. */
  finite: string;
  and: string;
  /** Says which place something has among others. */
  ordinal: string;
  /** Asks how much, in a unit. */
  measure: string;
  /** What a question should not end with. */
  article: string;
}

const en: LintWords = {
  light:
    'a an the of to in on at by for with from and or as is are was were be been it its this that these those you your we our they their he she his her do does did has have had will would can could should must may if when then than so there what which who whom whose how why where not no one ones some any all each'.split(
      ' ',
    ),
  allOf: '(?:all|none|both|any|neither)(?: of)?(?: the)?(?: above|se| these| them| following| others| a and b)',
  negative: "not|never|except|n't|nt",
  forbidding: "(?:must|should|may|can|do)(?: \\w+)? (?:not|never)|(?:mustn|shouldn|can|don|doesn)'t|cannot",
  joining: 'when|if|unless|that|because|while|until|after|before|where|although',
  absolute: 'always|never|only|all|every|none|nobody|everybody|nothing|entirely|under (?:any|no) circumstances',
  vague: 'often|sometimes|rarely|seldom|usually|frequently|occasionally|a lot|a little|not much|many|few|some|enough',
  finite: 'is|are|was|were|has|have|must|may|can|will|should|do|does|goes|go|stays?',
  and: 'and|but|or',
  ordinal: 'first|then|next|after that|second|third|fourth|finally|last(?:ly)?',
  measure: 'how (?:long|much|far|high|deep|wide|heavy|old|fast|hot|cold|warm)',
  article: 'an?|the',
};

const de: LintWords = {
  light:
    'der die das den dem des ein eine einen einem einer eines und oder in im an am auf zu zum zur mit von vom für ist sind war waren wird werden hat haben sie er es wir ihr ihre sein was wer wie wo wann welche welcher welches nicht kein keine alle'.split(
      ' ',
    ),
  allOf: '(?:alle|keine?|keiner|beides?|nichts)(?: der)?(?: genannten| obigen| davon| diese[rs]?| antworten)',
  negative: 'nicht|kein|keine|keinen|niemals|nie|außer',
  forbidding: '(?:darf|dürfen|soll|sollen|muss|müssen)(?: \\p{L}+)* (?:nicht|nie|niemals|keine?n?)',
  joining: 'wenn|falls|dass|weil|während|bis|nachdem|bevor|obwohl|sobald',
  absolute: 'immer|nie|niemals|nur|alle|jeder|keiner|niemand|nichts|ausschließlich|unter keinen umständen',
  vague: 'oft|manchmal|selten|meistens|häufig|gelegentlich|viel|wenig|etwas|einige|genug',
  finite: 'ist|sind|war|waren|hat|haben|muss|müssen|darf|dürfen|kann|können|wird|werden|soll|sollen',
  and: 'und|aber|oder',
  ordinal: 'zuerst|dann|danach|als nächstes|zweitens|drittens|schließlich|zuletzt|zum schluss',
  measure: 'wie (?:lange|viel|weit|hoch|tief|breit|schwer|alt|schnell|heiß|kalt|warm)',
  article: 'ein|eine|einen|der|die|das',
};

const fr: LintWords = {
  light:
    'le la les l un une des du de d et ou à au aux en dans sur pour par avec est sont était a ont il elle ils elles on nous vous son sa ses ce cette ces que qui quoi quel quelle quels quelles comment où quand ne pas tout tous'.split(
      ' ',
    ),
  allOf: '(?:tou(?:s|tes)|aucune?|ni)(?: de)?(?: ces| celles-ci| ceux-ci| les réponses| l’un ni l’autre)',
  negative: 'pas|jamais|sauf|aucun|aucune',
  forbidding: '(?:ne )?(?:doit|doivent|devez|peut|pouvez|faut)(?: \\p{L}+)? (?:pas|jamais)',
  joining: 'quand|si|lorsque|parce que|pendant que|jusqu’à|après que|avant que|bien que',
  absolute: 'toujours|jamais|seulement|tous|toutes|chaque|personne|rien|uniquement',
  vague: 'souvent|parfois|rarement|généralement|fréquemment|beaucoup|un peu|quelques|assez',
  finite: 'est|sont|était|a|ont|doit|doivent|peut|peuvent|va|vont',
  and: 'et|mais|ou',
  ordinal: 'd’abord|puis|ensuite|deuxièmement|troisièmement|enfin|pour finir',
  measure: 'combien de temps|combien mesure|à quelle (?:hauteur|profondeur|distance|température)',
  article: 'une?|le|la|les',
};

const es: LintWords = {
  light:
    'el la los las un una unos unas de del y o a al en con por para es son era ha han se su sus lo que qué quién cuál cuáles cómo dónde cuándo no todo todos este esta estos estas'.split(
      ' ',
    ),
  allOf: '(?:todas|todos|ninguna|ninguno|ambas|ambos)(?: de)?(?: las| los)?(?: anteriores| ellas| ellos| estas| estos)',
  negative: 'no|nunca|jamás|excepto|salvo|ninguno|ninguna',
  forbidding: 'no (?:debe|deben|puede|pueden|hay que)|nunca (?:debe|deben)',
  joining: 'cuando|si|porque|mientras|hasta que|después de que|antes de que|aunque',
  absolute: 'siempre|nunca|jamás|solo|sólo|todos|todas|nadie|nada|únicamente',
  vague: 'a menudo|a veces|raramente|normalmente|frecuentemente|mucho|poco|algunos|bastante',
  finite: 'es|son|era|ha|han|debe|deben|puede|pueden|va|van',
  and: 'y|pero|o',
  ordinal: 'primero|luego|después|segundo|tercero|finalmente|por último',
  measure: 'cuánto (?:tiempo|mide|pesa)|a qué (?:altura|profundidad|distancia|temperatura)',
  article: 'una?|el|la|los|las',
};

const ALL: Record<string, LintWords> = { en, de, fr, es };

/** The words of a language; none where it is not known, and rules that need words find nothing. */
export const lintWords = (language: string): LintWords | undefined => ALL[language.split('-')[0]];
