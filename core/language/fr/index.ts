import type { PatternRules } from '../pattern/rules';
import { anyOf } from '../phrases';

const DETERMINER = anyOf`
  l[ea]s? | l['’]\p{L}+ | une? | des | du | d[e'’] | ce(?:tte|s|t)? | votre | vos | chaque | toute?s? | tous | que
  qu['’] | à | au | aux | en | dans | sur | avec | si | bien | toujours | jamais | pas | y | immédiatement
  ensuite | « | notre | nos | leurs? | son | sa | ses | d['’]abord
`;

const TIMES_OF_DAY = anyOf`
  soir | matin | midi | lundi | mardi | mercredi | jeudi | vendredi | samedi | dimanche | premier
`;
const CIRCUMSTANCES = anyOf`
  après | avant | dans | pour | avec | sans | en | à | au | aux | pendant | dès | passée? | selon | chaque
  le ${TIMES_OF_DAY} | sur | par | chez | hors
  une? (?:demi-heure|quart d['’]heure|heure|minute|semaine|jour|mois) | quinze | dix | deux | trois
`;
const MENTAL_ORDERS = anyOf`
  Notez | Consultez | Voyez | Lisez | Rappelez | Référez-vous | Reportez-vous | Chez | Assez | Nez | Rez | Riez
`;
const NO_INFINITIVES = anyOf`
  Pour | Sur | Entre | Notre | Votre | Autre | Contre | Outre | Hier | Premier | Dernier | Leur | Par | Sous
  Être | Avoir | Papier | Voir | Fichier | Dossier | Paquet | Serveur | Utilisateur | Administrateur | Chaque
  Quatre | Cadre | Centre | Autre | Titre | Nombre | Encadre
`;
const ORDER_FORMS = anyOf`
  ^(?!Veuillez\s+(?:noter|consulter|vous\s+(?:référer|reporter)))(?!${MENTAL_ORDERS}\s)(?:\p{Lu}\p{Ll}+ez|Dites|Faites|Soyez)(?:-\p{Ll}+)?\s(?=${DETERMINER}(?:\s|$)|\p{Ll})
  ^(?!${NO_INFINITIVES}\s)(?!.*\s(?:est|sont|permet|peut|nécessite|demande|:)\s)\p{Lu}\p{Ll}+(?:er|ir|re|oir)\s${DETERMINER}(?=\s|$|\p{L})
`;
const PRONOUNS = anyOf`
  vous | nous | on | il | elle | ils | elles | chacun | chaque personne | quiconque | nul | personne
`;
const PERSON_STEMS = anyOf`
  personne | employé | salari | collaborat | responsable | chef | client | utilisat | usager | participant | élève
  enseignant | médecin | soignant | conducteur | chauffeur | développeur | administrateur | mainteneur
  responsable | auteur | bénévole | visiteur | équipe | service | membre | vendeur | habitant | titulaire
  demandeur | directeur | direction | agent | candidat | lecteur | débutant | stagiaire | infirmi | secrétari
  appelant | patient | apprenti | collègue | interlocut | livreur | encadrant | tuteur | tutrice | gérant | caissi
  vendeu | cuisini | technicien | ouvri | visiteu | locataire | propriétaire | assistant | opérat | coordinat
  animat | formateur | formatrice | invité | convive | mineur | adulte | enfant | parent | permanent | trésori
  donateur | donatrice | bénéficiaire | comptable | gardien | concierge | président | élu | habitué | adhérent
  abonné | joueur | joueuse | entraîneu | arbitre | conseill | électric | plombi | magasini | cariste | jardini
  livreu
`;
const CLAUSE_WORDS = anyOf`
  est | sont | était | sera | seront | peut | peuvent | quand | lorsque | si | que | qu['’]\S* | parce | puisque
  comme | où | dont | pourquoi | comment | ce qui | ce que
`;
const NO_SUBJECT_OPENERS = anyOf`
  il | cela | ceci | ici | dans | pour | avec | sans | sur | sous | par | en | à | au | aux | chez | selon
  depuis | pendant | avant | après | si | lorsque | quand
`;
const WEAK_MEANINGS = anyOf`
  bonne? | simple | important | autre | bon | solution | exemple | problème | question | moyen | façon
`;
const VAGUE_TERMS = anyOf`
  problème | raison | résultat | but | objectif | différence | exemple | exception | avantage | inconvénient
  question | réponse | cas | moyen | façon | manière | idée | il | elle | ce | c | cela | ceci | cette? | ces
  ici | voici | première? | deuxième | seconde? | dernière? | suivante?s? | autre | même | seule? | solution
  méthode | plus
`;
const LIMIT_WORDS = anyOf`
  au moins | au plus | au maximum | au minimum | jusqu['’]à | plus de | moins de | pas plus de
  dans (?:les|un délai de) | sous | avant | après | tous les | toutes les | au-delà | exactement | dépasser
  dépasse | coûte | coûtent | est de | sont de | à
`;
const DANGERS = anyOf`
  sinon | sous peine de | dangereu[sx]e? | danger | risque\p{L}* | endommag\p{L}+ | détrui\p{L}+ | blessures?
  brûlures? | incendie | perte de données | en aucun cas | ne jamais
`;
const BACKWARD_OPENERS = anyOf`
  ce(?:ci|la|tte|s|t)?\b(?! (?:qui|que)) | c['’]
  ils?\b(?! (?:faut|est|existe|y a|suffit|convient|peut|n['’]|ne)) | elles?\b | celui-ci | celle-ci | ceux-ci
  celles-ci | ces derni | ses?\s | son\s | sa\s | leurs?\s | y\s | en\s(?:effet|fait) | ainsi | là | ici
  les deux | le premier | le second | ce dernier | cette dernière
`;
const JOINING_WORDS = anyOf`
  mais | et | ou | or | donc | car | cependant | toutefois | néanmoins | pourtant | ensuite | puis | alors | ainsi
  de plus | en outre | par ailleurs | par conséquent | c['’]est pourquoi | sinon | enfin | également | aussi
  par exemple | dans ce cas | en revanche | au contraire | autrement | d['’]autre part | de même | en particulier
  notamment | en effet
`;
/** What French says by its words. */
export const french: PatternRules = {
  modals: [
    {
      pattern:
        /(?:^|\s)(?:il est (?:interdit|défendu)|il ne faut (?:pas|jamais)|on ne doit (?:pas|jamais))(?:\s+d[e'’])?/iu,
      strength: 'must',
      negative: true,
      impersonal: true,
    },
    {
      pattern: /(?:^|\s)il n['’]est pas (?:permis|autorisé)(?:\s+d[e'’])?/iu,
      strength: 'must',
      negative: true,
      impersonal: true,
    },
    {
      pattern: /(?:^|\s)ne (?:peut|peuvent|pouvez|doit|doivent|devez)(?=\s\p{L}+\s(?:que\s|qu['’]))/iu,
      strength: 'must',
    },
    {
      pattern: /(?:^|\s)(?:il faut|il est (?:obligatoire|nécessaire|impératif|indispensable))(?:\s+d[e'’])?(?=\s)/iu,
      strength: 'must',
      impersonal: true,
    },
    { pattern: /(?:^|\s)il vaut mieux(?=\s)/iu, strength: 'should', impersonal: true },
    {
      pattern: /(?:^|\s)il est (?:recommandé|conseillé|préférable)(?:\s+d[e'’])?(?=\s|\p{L})/iu,
      strength: 'should',
      impersonal: true,
    },
    { pattern: /(?:^|\s)(?:est|sont) (?:interdite?s?|défendue?s?)(?=[\s.,;]|$)/iu, strength: 'must', negative: true },
    { pattern: /(?:^|\s)(?:est|sont|êtes) (?:tenue?s?|obligée?s?) d[e'’]/iu, strength: 'must' },
    { pattern: /(?:^|\s)(?:est|sont|êtes) autorisée?s? à/iu, strength: 'may' },
    {
      pattern: /(?:^|\s)ne (?:doit|doivent|devez|peut|peuvent|pouvez) (?:pas|jamais|en aucun cas)(?=\s)/iu,
      strength: 'must',
      negative: true,
    },
    { pattern: /(?:^|\s)ne (?:devrait|devraient|devriez) (?:pas|jamais)(?=\s)/iu, strength: 'should', negative: true },
    {
      pattern:
        /(?:^|\s)(?:doit|doivent|devez|devra|devront|devrez)(?: (?:toujours|absolument|impérativement))?(?=\s)/iu,
      strength: 'must',
    },
    { pattern: /(?:^|\s)(?:devrait|devraient|devriez)(?=\s)/iu, strength: 'should' },
    {
      pattern:
        /(?:^|\s)(?:peut|peuvent|pouvez|pourra|pourront)(?=\s)(?!\s(?:être (?:difficile|utile|possible|nécessaire|intéressant|tentant)|s['’]agir|y avoir|arriver|rester|sembler|se faire)(?:\s|$))/iu,
      strength: 'may',
    },
  ],
  negated: { pattern: /^(?:pas|jamais|plus)(?=\s)/iu, for: { must: 'must', may: 'must', should: 'should' } },
  nobody: { pattern: /^(?:personne|nul|aucune?\s.+)\sne$/iu, for: { must: 'must', may: 'must', should: 'should' } },
  conditions:
    /^(?:(?:si|lorsque|quand|dès que|avant de|avant que|après avoir|à moins que|en cas de|tant que|une fois que)\s+|(?:s['’](?=ils?\b)|lorsqu['’]|dès qu['’]|en cas d['’]|avant d['’])\s*)/i,
  circumstance: new RegExp(String.raw`^${CIRCUMSTANCES}\s`, 'iu'),
  order: new RegExp(ORDER_FORMS, 'u'),
  orderNot:
    /^N(?:e|['’]\s?)\s?\p{Ll}+ez\s(?:pas|jamais|plus|aucune?|rien|que)(?=\s)|^Ne (?:pas|jamais)\s\p{Ll}+(?:er|ir|re|oir)(?=\s)/u,
  actionEnd:
    /;|\s?:(?=\s)|\s[–—]\s|,\s+(?:car|parce que|puisque|afin de|afin que|sinon|mais|ce qui|pour que)(?=\s)|\s(?:car|parce que|parce qu['’]|afin de|afin que|sinon)(?=\s)/iu,
  persons: new RegExp(String.raw`(?:^|\s)${PRONOUNS}(?=\s|$)|${PERSON_STEMS}`, 'iu'),
  noSubject: new RegExp(String.raw`(?:^|\s)qui$|(?:^|\s)${CLAUSE_WORDS}(?:\s|$)|^${NO_SUBJECT_OPENERS}\s`, 'iu'),
  definition: new RegExp(
    String.raw`^(?:Une?\s+|(?:Le\s|La\s|L['’])(?=.{2,60}?\s(?:est|désigne)\s+une?\s+(?:[\p{L}-]+\s+){1,3}(?:qui|que|qu['’]|où|dont|pour|permettant|destinée?|servant))|(?=[\p{Lu}«]))(?!(?:Les?|La|L['’]|Une?|Des|Du)[\s'’])(?<term>[«“"]?\s?[\p{L}][\p{L}\p{N}'’-]*(?:\s+[\p{L}\p{N}'’-]+){0,3}?\s?[»”"]?)\s+(?:est|désigne|signifie)\s+(?<meaning>(?:une?)\s(?!${WEAK_MEANINGS}\s).+)$`,
    'u',
  ),
  vague: new RegExp(String.raw`^${VAGUE_TERMS}(?:\s|['’]|$)`, 'iu'),
  stances: [
    [
      /\bn['’](?:est|sont) pas (?:nécessaires?|obligatoires?)|\bn['’](?:avez|a|ont) pas besoin|\bpas la peine\b/iu,
      'frees',
    ],
    [
      /\b(?:est|sont) (?:interdite?s?|défendue?s?)|\bn['’](?:est|sont) pas (?:permise?s?|autorisée?s?|admise?s?)/iu,
      'forbids',
    ],
    [/\b(?:est|sont) (?:permise?s?|autorisée?s?|admise?s?)(?! à)/iu, 'allows'],
  ],
  stanceWords:
    /\b(?:interdite?s?|défendue?s?|permise?s?|autorisée?s?|admise?s?|nécessaires?|obligatoires?|toujours|jamais|pas)\b/iu,
  reader: /^(?:vous|nous|on|chacun|tous|personne(?: ne)?|nul(?: ne)?)$/iu,
  units: [
    [/^jours? (?:ouvrables?|ouvrés?)/iu, 'workday', 'time'],
    [/^secondes?\b/iu, 'second', 'time'],
    [/^minutes?\b/iu, 'minute', 'time'],
    [/^heures?\b/iu, 'hour', 'time'],
    [/^jours?\b/iu, 'day', 'time'],
    [/^semaines?\b/iu, 'week', 'time'],
    [/^mois\b/iu, 'month', 'time'],
    [/^(?:ans?|années?)\b/iu, 'year', 'time'],
    [/^(?:€|euros?\b|EUR\b)/iu, 'EUR', 'EUR'],
    [/^(?:%|pour cent)/iu, 'percent', 'percent'],
    [/^(?:°\s?C|degrés?)/iu, 'degree', 'degree'],
    [/^(?:km|kilomètres?)\b/iu, 'kilometre', 'length'],
    [/^(?:cm|centimètres?)\b/iu, 'centimetre', 'length'],
    [/^(?:mm|millimètres?)\b/iu, 'millimetre', 'length'],
    [/^(?:m|mètres?)\b/u, 'metre', 'length'],
    [/^(?:kg|kilos?|kilogrammes?)\b/iu, 'kilogram', 'mass'],
    [/^(?:g|grammes?)\b/u, 'gram', 'mass'],
    [/^(?:l|litres?)\b/iu, 'litre', 'volume'],
    [/^(?:Go|gigaoctets?)\b/u, 'gigabyte', 'data'],
    [/^(?:Mo|mégaoctets?|Mio)\b/u, 'megabyte', 'data'],
    [/^(?:Ko|ko|kilooctets?)\b/u, 'kilobyte', 'data'],
    [/^(?:personnes|employés|membres)\b/iu, 'person', 'person'],
    [/^fois\b/iu, 'times', 'times'],
    [/^pages?\b/iu, 'page', 'page'],
    [/^caractères?\b/iu, 'character', 'character'],
  ],
  numberWords: {
    deux: 2,
    trois: 3,
    quatre: 4,
    cinq: 5,
    six: 6,
    sept: 7,
    huit: 8,
    neuf: 9,
    dix: 10,
    onze: 11,
    douze: 12,
    quinze: 15,
    vingt: 20,
    trente: 30,
    quarante: 40,
    cinquante: 50,
    cent: 100,
  },
  limit: new RegExp(String.raw`\b${LIMIT_WORDS}(?=\s|$|\b)`, 'iu'),
  limitAnywhere: /\b(?:maximum|minimum|limite|délai|maximale?|minimale?|caution)(?=\s|$|\b)/iu,
  warning: new RegExp(String.raw`^(?:Attention|Avertissement|Danger|Prudence|Jamais)\b|\b${DANGERS}\b`, 'iu'),
  reason:
    /\b(?:car(?=\s)|parce que|parce qu['’]|puisque|puisqu['’]|afin de|afin que|c['’]est pourquoi|pour que|en raison d[eu])/iu,
  example: /^(?:Par exemple|À titre d['’]exemple|Exemple)\b|\bpar exemple\b|\bp\.\s?ex\./iu,
  tip: /^(?:Astuce|Conseil)\b|^Il est (?:utile|pratique|judicieux|plus simple|préférable)|^Le plus simple/iu,
  comparison:
    /\b(?:contrairement à|à la différence d[eu'’]|tandis que|alors que|en revanche|par rapport à|par opposition à|plutôt que|au lieu d[eu])/iu,
  role: /\b(?:est|sont) (?:responsables? d[eu'’]|chargée?s? d[eu'’])|\bs['’]occupe(?:nt)? d[eu'’]/iu,
  firstPerson: /\b(?:je|moi|mon|ma|mes)\b|\b[jm]['’]/iu,
  pointsBack: new RegExp(String.raw`^${BACKWARD_OPENERS}`, 'iu'),
  joinsOn: new RegExp(String.raw`^${JOINING_WORDS}\b`, 'iu'),
  elsewhere:
    /\b(?:voir|consultez|reportez-vous|cf\.)\s|\b(?:section|chapitre|annexe|figure|tableau|page|paragraphe)\s+[\dA-Z«]|\b(?:ci-dessus|ci-dessous|ci-après|suivante?s?|précédente?s?)\b/iu,
  aboutDocument:
    /\b(?:ce|cette|le présent|la présente) (?:document|manuel|guide|chapitre|section|page|texte|FAQ|livre|article|paragraphe)\b/iu,
  pointsWithin: /\b(?:cela|ceci|celui-ci|celle-ci|ceux-ci|celles-ci|ce dernier|cette dernière|ces derniers)\b/iu,
  leadIns: {
    steps:
      /\b(?:étapes?|comme suit|procédure|suivez|voici comment|procédez)\b|^(?:pour|si|avant|après|lorsque)\b.*:$/iu,
    duties:
      /\b(?:doit|doivent|devez|peut|peuvent|pouvez|devrait|devraient|il faut)(?:\s+(?:pas|toujours|jamais))?\s*:$/iu,
  },
  lowersItems: true,
};
