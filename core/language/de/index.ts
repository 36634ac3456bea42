import type { PatternRules } from '../pattern/rules';
import { anyOf } from '../phrases';

const PREFIXES = anyOf`
  ab | an | auf | aus | bei | durch | ein | fest | her | hin | mit | nach | sicher | vor | weg | wieder | zu
  zurück | zusammen
`;
const CONDITION_VERBS = anyOf`
  Ist | Sind | Wird | Werden | Wurde | Wurden | Hat | Haben | Kommt | Kommen | Steht | Stehen | Geht | Gehen
  Fällt | Fallen | Sollte | Sollten | Liegt | Liegen | Fehlt | Fehlen | Bleibt | Bleiben | Besteht | Bestehen
  Tritt | Treten | Passiert | Brennt | Klingelt | Meldet | Stellt | Findet | Finden | Möchte | Möchten | Muss
  Müssen | Kann | Können | Reicht | Läuft | Lässt | Zeigt | Erscheint
`;
const FRONTED_WORDS = anyOf`
  bei | beim | nach | vor | in | im | an | am | auf | für | mit | ohne | zur | zum | zu | von | vom | ab | aus
  seit | bis | während | wegen | trotz | innerhalb | außerhalb | unter | über | zwischen | gegen | pro | je
  jede[nrsm]? | alle | einmal | zweimal | täglich | abends | morgens | nachts | heute | spätestens | frühestens
  zuerst | anschließend | grundsätzlich | danach | vorher | nachher
`;
const MENTAL_ORDERS = anyOf`
  [Bb]eachten | [Bb]edenken | [Ee]rinnern | [Dd]enken | [Ss]ehen | [Ll]esen | [Vv]ergleichen | [Nn]ehmen
`;
const ASKING_VERBS = anyOf`
  Haben | Sind | Können | Müssen | Dürfen | Sollten | Sollen | Werden | Möchten | Wollen | Brauchen | Bekommen
  Erhalten | Finden | Kennen | Wissen
`;
const OPENING_ADVERBS = anyOf`
  Bei | Beim | Nach | Vor | In | Im | An | Am | Auf | Für | Mit | Ohne | Zum | Zur | Ab | Während | Zuerst
  Danach | Anschließend
`;
const AUXILIARIES = anyOf`
  haben | sind | können | müssen | dürfen | sollten | sollen | werden | möchten | wollen | brauchen | bekommen
  erhalten | finden | kennen | wissen | sehen
`;
const NO_VERBS = anyOf`
  nicht | jetzt | mit | seit | dort | erst | fast | zuerst | selbst | sofort | gut | fest | weit | bereit | direkt
  komplett | oft | sonst | bis | heute | nachts | stets | bitte | rechts | links | leicht | leise | kurz
`;
const NO_ORDER_OPENERS = anyOf`
  Es | Er | Sie | Wir | Man | Dies | Diese | Dieser | Das | Der | Die | Den | Dem | Ein | Eine | Einige | Viele
  Kein | Keine | Wenn | Falls | Alle | Wie | Was | Wo | Wann | Warum | Indem | Dass | Ob | Damit | Weil | Wobei
  Welche | Welcher | Welches | Um | Muss | Müssen | Darf | Dürfen | Soll | Sollen | Sollte | Sollten | Kann
  Können | Ist | Sind | Wird | Werden | Hat | Haben | War | Waren
`;
const FINITE_VERBS = anyOf`
  ist | sind | war | waren | wird | werden | wurde | hat | haben | kann | können | muss | müssen | darf | dürfen
  soll | sollen | gibt | bleibt
`;
const NO_INFINITIVES = anyOf`
  keinen | einen | seinen | ihren | den | denen | oben | unten | innen | außen | zusammen | neben | gegen | wegen
  zwischen | morgen | Personen | Daten | Seiten | Zeiten
`;
const ORDERS = anyOf`
  ^(?!(?:Bitte\s+)?${MENTAL_ORDERS}\s+Sie\b)(?!(?:Bitte\s+)?[Ss]tellen\s+Sie\s+sich\b)(?!${ASKING_VERBS}\s+Sie\b)(?:Bitte\s+)?(?:(?:Dann|Zuerst|Danach|Anschließend|Nun)\s+)?\p{Lu}?\p{Ll}+(?:en|ern|eln)\s+Sie(?=[\s,.])
  ^${OPENING_ADVERBS}\s[^,:;]{3,60}?\s(?!${AUXILIARIES}\s)\p{Ll}+(?:en|ern|eln)\s+Sie(?=[\s,.])
  ^(?!.*,)(?!.*\s(?!${NO_VERBS}\s)\p{Ll}{2,}t(?:e|en|et)?\s)(?!${NO_ORDER_OPENERS}\s)(?!.*\s${FINITE_VERBS}\s)(?:\S+\s){1,14}(?!${NO_INFINITIVES})\p{Ll}{3,}(?:en|ern|eln)[.!]?$
`;
const ORDERS_NOT = anyOf`
  ^(?:Bitte\s+)?\p{Lu}?\p{Ll}+(?:en|ern|eln)\s+Sie\s+(?:\S+\s+){0,4}?(?:nicht|nie|niemals|keine[nrms]?|kein)(?=[\s.!]|$)
  ^(?:Niemals?|Nicht|Keine[nrms]?|Kein)\s(?:\S+\s){1,10}\p{Ll}{3,}(?:en|ern|eln)[.!]?$
`;
const PERSON_STEMS = anyOf`
  mitarbeiter | mitarbeitende | kolleg | leitung | leiter | chef | kund | nutzer | nutzende | anwender | person
  mensch | leute | beschäftigt | teilnehm | lehrer | schüler | arzt | ärzt | pfleger | pflegekraft | kräfte
  fahrer | betreuer | entwickler | administrator | verwalter | autor | freiwillig | besucher | gäste | gast
  verantwortlich | beauftragt | team | abteilung | vorgesetzt | meister | prüfer | helfer | mitglied
  paketbetreuer | verkäufer | bewohner | inhaber | betreiber | antragsteller | frau | herr
`;
const CLAUSE_WORDS = anyOf`
  ist | sind | wird | werden | hat | haben | kann | können | war | waren | wurde | wurden | gibt | dass | weil
  da | obwohl | während | um | ob | damit | was | wie | wo | wer | wann | warum | sowie
`;
const NO_SUBJECT_OPENERS = anyOf`
  es | hier | dort | dabei | dann | dazu | dafür | damit | darin | so | auch | in | im | bei | beim | mit | für
  zur | zum | auf | an | am | von | vor | nach | unter | über | durch | wenn | falls | je | bis | seit | ab | aus
  zu | um | ohne | wegen | trotz | während | zwischen | gegen | pro | innerhalb | außerhalb | einmal | zweimal
  spätestens | frühestens | grundsätzlich | anschließend | außerdem
`;
const NO_TERMS = anyOf`
  Der | Die | Das | Den | Dem | Ein | Eine | Nach | Vor | In | Im | Bei | Mit | Auf | An | Am | Für | Zu | Zum
  Zur | Von | Vom | Aus | Über | Jede[rs]? | Alle | Eine[rs] | Beide | Kein | Keine
`;
const DEFINING_VERBS = anyOf`
  ist | sind | bezeichnet | bedeutet | steht für | versteht man | heißt | nennt man | nennen wir
`;
const WEAK_MEANINGS = anyOf`
  gute?[rs]? | einfache?[rs]? | wichtige?[rs]? | große?[rs]? | weitere?[rs]? | schöne?[rs]? | beliebte?[rs]?
  andere?[rs]? | Möglichkeit | Voraussetzung | Problem | Idee | Beispiel | Grund | Frage | Fehler
`;
const VAGUE_TERMS = anyOf`
  Derzeit | Heute | Dabei | Wenn | Falls | Problem | Grund | Ergebnis | Ziel | Zweck | Unterschied | Beispiel
  Ausnahme | Vorteil | Nachteil | Frage | Antwort | Hinweis | Folge | Sache | Fall | Weg | Art | Dies | Diese[rs]?
  Das | Es | Hier | Wichtig | Folgende[rs]? | Erste[rs]? | Zweite[rs]? | Nächste[rs]? | Letzte[rs]? | Andere[rs]?
  Standard | Lösung | Möglichkeit | Voraussetzung
`;
const LIMIT_WORDS = anyOf`
  mindestens | höchstens | maximal | minimal | bis zu | mehr als | weniger als | länger als | kürzer als
  nicht (?:mehr|länger|später|früher) als | innerhalb | binnen | spätestens | frühestens | über | unter | ab
  alle | nach | vor | genau | beträgt | betragen | kostet | kosten
`;
const DANGERS = anyOf`
  sonst | andernfalls | gefährlich | Gefahr | Lebensgefahr | Verletzung | Schäden? | beschädig\p{L}+
  zerstör\p{L}+ | Datenverlust | Brandgefahr | Explosion | darf (?:nie|niemals|keinesfalls|auf keinen Fall)
  auf keinen Fall | unter keinen Umständen | Risiko | riskant
`;
const AFTER_IT = anyOf`
  ist | wird | gibt | sei | empfiehlt | lohnt | hilft | genügt | reicht | kann | dürfen | muss | war | sollte
`;
const BACKWARD_OPENERS = anyOf`
  dies(?:e[rsmn]?)? | jene[rsmn]? | solche[rsmn]? | er
  sie(?!\s+(?:müssen|dürfen|sollten|können|haben|sind|finden|brauchen)\b) | es(?! ${AFTER_IT}) | dabei | dadurch
  damit | dafür | darin | darauf | daraus | davon | dazu | danach | dort | hierbei | hierfür | hierzu | hier
  letztere[rsn]? | erstere[rsn]? | beide | deren | dessen | seine?[rnms]? | ihre?[rnms]?
`;
const JOINING_WORDS = anyOf`
  aber | und | oder | jedoch | also | außerdem | zudem | ferner | weiterhin | deshalb | deswegen | daher | darum
  folglich | somit | trotzdem | dennoch | allerdings | stattdessen | andernfalls | sonst | schließlich | ebenso
  auch | zum Beispiel | beispielsweise | in diesem Fall | dann | nun | denn | doch | dagegen | hingegen | nämlich
  insbesondere | sodass
`;
const NEIGHBOURS = anyOf`
  folgende[rsmn]? | nachfolgende[rsmn]? | obige[rsmn]? | vorige[rsmn]? | nächste[rsmn]? (?:Abschnitt|Kapitel)
`;
const ELSEWHERE_WORDS = anyOf`
  \b(?:siehe|vgl\.|vergleiche)\s | \b(?:Abschnitt|Kapitel|Anhang|Abbildung|Tabelle|Seite|Fußnote)\s+[\dA-Z„]
  \b${NEIGHBOURS}\b | \b(?:oben|unten) (?:genannt|beschrieben|gezeigt|aufgeführt|erwähnt)
`;
/** What German says by its words. */
export const german: PatternRules = {
  modals: [
    {
      pattern: /(?:^|\s)(?:es ist|ist es) (?:verboten|untersagt|nicht (?:erlaubt|gestattet|zulässig)),?/iu,
      strength: 'must',
      negative: true,
      impersonal: true,
    },
    {
      pattern: /(?:^|\s)(?:ist|sind) (?:nicht (?:erlaubt|gestattet|zulässig)|verboten|untersagt)(?=[.,;!]|$)/iu,
      strength: 'must',
      negative: true,
    },
    { pattern: /(?:^|\s)(?:ist|sind) (?:verpflichtet|gehalten),?/iu, strength: 'must' },
    { pattern: /(?:^|\s)(?:ist|sind) (?:berechtigt|befugt),?/iu, strength: 'may' },
    { pattern: /(?:^|\s)(?:muss|müssen|musst|müsst)(?=\s)/iu, strength: 'must' },
    { pattern: /(?:^|\s)(?:darf|dürfen|dürft)(?=\s)/iu, strength: 'may' },
    { pattern: /(?:^|\s)(?:sollte|sollten|soll|sollen|sollt|solltest)(?=\s)/iu, strength: 'should' },
    // "sind einzuhalten", "ist zu prüfen", "hat … zu melden"
    {
      pattern: new RegExp(
        String.raw`(?:^|\s)(?:ist|sind|hat|haben)(?=\s(?:[^,;:]*\s)?(?:zu\s\p{Ll}+(?:en|ern|eln)|${PREFIXES}zu\p{Ll}+en)(?:[.,;!]|$))`,
        'iu',
      ),
      strength: 'must',
    },
  ],
  // "muss nicht" frees, "darf nicht" forbids.
  negated: {
    pattern: /^(?:[^,;:]*?\s)?(?:nicht(?!\s+nur\b)|keine[nrms]?|kein|nie|niemals|keinesfalls)(?=[\s.]|$)/u,
    for: { may: 'must', should: 'should' },
  },
  nobody: { pattern: /^(?:niemand|keine[rs]?|kein)(?=\s|$)/iu, for: { may: 'must', should: 'should' } },
  only: /^(?:nur|ausschließlich|lediglich|erst|höchstens)(?=\s)/iu,
  conditions: /^(?:wenn|falls|sobald|sofern|soweit|solange|bevor|nachdem|im fall, dass|außer wenn|es sei denn,?)\s+/i,
  circumstance: new RegExp(String.raw`^${CONDITION_VERBS}\s`, 'u'),
  whoever: /^Wer\s/u,
  fronted: new RegExp(String.raw`^${FRONTED_WORDS}(?=\s|$)`, 'iu'),
  inverted:
    /^(?:Sie|man|er|sie|es|wir|ihr|alle|jede[rs]?|niemand|(?:der|die|das|ein|eine|den|jede[rs]?|alle|beide|Ihr|Ihre)\s+(?:\p{Ll}+\s+){0,2}\p{Lu}[\p{L}-]+)(?=\s)/u,
  order: new RegExp(ORDERS, 'u'),
  orderNot: new RegExp(ORDERS_NOT, 'u'),
  orderTurned: /\b(?:nicht(?! nur)|nie|niemals|keine[nrsm]?|kein|keinesfalls)\b/iu,
  actionEnd:
    /;|:(?=\s)|\s[–—]\s|,\s+(?:weil|da|damit|denn|um|sonst|andernfalls|obwohl|sondern|was|wodurch)(?=\s)|,\s+(?:der|die|das)\s(?![^,;.]*\s(?:und|oder|sowie)\s)/u,
  persons: new RegExp(
    String.raw`(?:^|\s)(?:Sie|man|wir|ihr|er|sie|jede[rn]?|jeder|alle|niemand|wer)(?=\s|$)|${PERSON_STEMS}`,
    'iu',
  ),
  noSubject: new RegExp(String.raw`(?:^|\s)${CLAUSE_WORDS}(?:\s|$)|^${NO_SUBJECT_OPENERS}\s`, 'iu'),
  definition: new RegExp(
    String.raw`^(?:Eine?\s+|Unter\s+|Als\s+|)(?!${NO_TERMS}\s)(?<term>[„“"»]?(?:\p{Ll}+\s+)?\p{Lu}[\p{L}\p{N}-]*[“”"«]?)\s+${DEFINING_VERBS}\s+(?<meaning>(?:eine?[nrms]?)\s(?!${WEAK_MEANINGS}\s).+)$`,
    'u',
  ),
  vague: new RegExp(String.raw`^${VAGUE_TERMS}(?:\s|$)`, 'iu'),
  stances: [
    [
      /\b(?:muss|müssen|brauch(?:t|en)) (?:\p{L}+ ){0,3}nicht\b|\b(?:ist|sind) nicht (?:nötig|erforderlich|notwendig|vorgeschrieben)\b/iu,
      'frees',
    ],
    [/\b(?:ist|sind) (?:\p{L}+ ){0,6}?(?:nicht (?:erlaubt|gestattet|zulässig)|verboten|untersagt)\b/iu, 'forbids'],
    [/\b(?:ist|sind) (?:\p{L}+ ){0,6}?(?:erlaubt|gestattet|zulässig)\b/iu, 'allows'],
  ],
  stanceWords:
    /\b(?:erlaubt|gestattet|zulässig|verboten|untersagt|nötig|erforderlich|notwendig|vorgeschrieben|muss|müssen|brauch(?:t|en)|nicht|nur|immer|stets)\b/iu,
  reader: /^(?:Sie|man|wir|ihr|jede[rn]?|alle|niemand)$/iu,
  units: [
    [/^(?:Arbeits|Werk)tage?[ns]?\b/u, 'workday', 'time'],
    [/^Sekunden?\b/u, 'second', 'time'],
    [/^Minuten?\b|^Min\.?\b/u, 'minute', 'time'],
    [/^Stunden?\b/u, 'hour', 'time'],
    [/^Tag(?:e[ns]?)?\b/u, 'day', 'time'],
    [/^Wochen?\b/u, 'week', 'time'],
    [/^Monat(?:e[ns]?|s)?\b/u, 'month', 'time'],
    [/^Jahre?[ns]?\b/u, 'year', 'time'],
    [/^(?:€|Euro\b|EUR\b)/u, 'EUR', 'EUR'],
    [/^(?:%|Prozent\b)/u, 'percent', 'percent'],
    [/^(?:°\s?C|Grad\b)/u, 'degree', 'degree'],
    [/^(?:km|Kilometer[ns]?)\b/u, 'kilometre', 'length'],
    [/^(?:cm|Zentimeter[ns]?)\b/u, 'centimetre', 'length'],
    [/^(?:mm|Millimeter[ns]?)\b/u, 'millimetre', 'length'],
    [/^(?:m|Meter[ns]?)\b/u, 'metre', 'length'],
    [/^(?:kg|Kilo(?:gramm)?)\b/u, 'kilogram', 'mass'],
    [/^(?:g|Gramm)\b/u, 'gram', 'mass'],
    [/^(?:l|Liter[ns]?)\b/u, 'litre', 'volume'],
    [/^(?:GB|Gigabyte)\b/u, 'gigabyte', 'data'],
    [/^(?:MB|Megabyte|MiB)\b/u, 'megabyte', 'data'],
    [/^(?:KB|kB|Kilobyte)\b/u, 'kilobyte', 'data'],
    [/^(?:Personen|Menschen|Leute|Mitarbeiter)\b/u, 'person', 'person'],
    [/^Mal\b/u, 'times', 'times'],
    [/^Seiten?\b/u, 'page', 'page'],
    [/^Zeichen\b/u, 'character', 'character'],
    [/^Stück\b/u, 'piece', 'piece'],
  ],
  numberWords: {
    zwei: 2,
    drei: 3,
    vier: 4,
    fünf: 5,
    sechs: 6,
    sieben: 7,
    acht: 8,
    neun: 9,
    zehn: 10,
    elf: 11,
    zwölf: 12,
    fünfzehn: 15,
    zwanzig: 20,
    dreißig: 30,
    vierzig: 40,
    fünfzig: 50,
    hundert: 100,
  },
  limit: new RegExp(String.raw`\b${LIMIT_WORDS}\b`, 'iu'),
  limitAnywhere: /\b(?:Grenze|Limit|Höchst\p{Ll}+|Mindest\p{Ll}+|Frist|Gebühr|Kaution)\b/iu,
  warning: new RegExp(String.raw`^(?:Warnung|Achtung|Vorsicht|Gefahr|Niemals|Nie)\b|\b${DANGERS}\b`, 'iu'),
  reason:
    /\b(?:weil|denn|deshalb|deswegen|darum)\b|,\s+(?:da|damit)\s|,\s+um\s.+\szu\s|\baus diesem Grund\b|\bGrund dafür\b/iu,
  example:
    /^(?:Zum Beispiel|Beispielsweise|Ein Beispiel|Beispiel:)|\b(?:zum Beispiel|z\.\s?B\.|beispielsweise)(?:\s|$)/iu,
  tip: /^(?:Tipp|Hinweis|Am besten|Es (?:hilft|lohnt sich|empfiehlt sich|ist (?:sinnvoll|ratsam|hilfreich|am besten|eine gute Idee)))\b/iu,
  comparison:
    /,\s+während\s|\b(?:im Gegensatz zu[mr]?|im Unterschied zu[mr]?|dagegen|hingegen|verglichen mit|im Vergleich zu[mr]?|anders als|unterscheide[nt]|statt dessen|anstelle von)\b/iu,
  role: /\b(?:ist|sind) (?:dafür |für [^.,;]+ )?(?:verantwortlich|zuständig)\b|\b(?:verantwortlich|zuständig) (?:ist|sind)\b|\bverantwortet\b/iu,
  firstPerson: /\b(?:ich|mir|mich|mein(?:e[mnrs]?)?)\b/iu,
  pointsBack: new RegExp(String.raw`^${BACKWARD_OPENERS}\b`, 'iu'),
  joinsOn: new RegExp(String.raw`^${JOINING_WORDS}\b`, 'iu'),
  elsewhere: new RegExp(ELSEWHERE_WORDS, 'iu'),
  aboutDocument:
    /\bdiese[rsmn]? (?:Dokument|Anleitung|Handbuch|Kapitel|Abschnitt|Leitfaden|Text|Seite|Richtlinie|Buch|Artikel)s?\b/iu,
  pointsWithin: /\b(?:diese[rsmn]?|jene[rsmn]?|solche[rsmn]?|dabei|dadurch|damit|dafür|darin|davon|dazu)\b/iu,
  leadIns: {
    steps:
      /\b(?:Schritte?|wie folgt|folgendermaßen|gehen Sie|führen Sie|Vorgehen|Ablauf|Anleitung|so geht)\b|^(?:um|wenn|bevor|nachdem)\b.*:$/iu,
    duties:
      /\b(?:muss|müssen|darf|dürfen|sollte|sollten|soll|sollen|ist verpflichtet|sind verpflichtet)(?:\s+(?:nicht|immer|stets))?\s*:$/iu,
  },
  lowersItems: false,
};
