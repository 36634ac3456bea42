import type { Noise } from '../course/left-out';
import { anyOf } from './phrases';

const AGENDAS = anyOf`
  agenda | programme | timetable | schedule for (?:today|the day) | this (?:morning|afternoon)
  today(?:['’]s (?:programme|agenda|topics))? | tagesordnung | ablauf | ordre du jour | orden del día
`;
const CONTENTS = anyOf`
  ^(${AGENDAS})$ | ^(table of )?contents$ | ^inhalt(sverzeichnis)?$ | ^table des matières$ | ^sommaire$
  ^índice( general)?$ | ^contenido$ | ^list of (figures|tables|examples)$ | ^(abbildungs|tabellen)verzeichnis$
  ^目次$ | ^índice de (cuadros|tablas|figuras|ejemplos)$ | ^liste des (figures|tableaux)$ | ^navigation$
`;
const LEGAL = anyOf`
  copyright | licen[cs]e | legal( notice| note)?s? | trademarks? | disclaimer | imprint | impressum | lizenz
  mentions légales | licencia | colophon
`;
const THANKED = anyOf`
  acknowledge?ments? | thanks | credits | contributors? | dedication | authors? | about the authors?
  danksagung(en)? | remerciements | agradecimientos | autor(en)? | auteurs? | autores
`;
const HISTORIES = anyOf`
  change ?log | changelog\b.* | revision history | version history | history of changes | changelog/history
  release notes | document history | änderungsprotokoll | historique( des versions)? | historial
  upgrading checklist | what(?:'|’)?s (?:new|changed) | version [\d.]+
`;
const REFERENCES = anyOf`
  references | bibliography | further reading | see also | external links | related (documents|links)
  literatur(verzeichnis)? | siehe auch | références | bibliographie | voir aussi | referencias | bibliografía
  véase también
`;
const NOTES_ON_ITSELF = anyOf`
  (?:about )?this (document|manual|guide|book|faq|deck|page) | document (information|control|conventions)
  how to (read|use) this (document|manual|guide|book) | (typographical |document )?conventions( used.*)?
  feedback | contact( us)? | mailing lists? | preface | foreword | vorwort | préface | prefacio | prólogo
`;
const ABOUT_ITSELF = anyOf`
  \b(?:of|for|in|into) (?:the|this) (?:course|training)$ | ^(?:course |learning )?(?:outcomes|objectives)$
  \bshould be able to do afterwards$ | ^where to (get|find) (this|the) (manual|document|guide)\b
  ^organi[sz]ational notes | ^(${NOTES_ON_ITSELF})$
`;
/** Parts of documents that teach nothing, by their titles, in the languages we read. */
const TITLES: [Noise, RegExp][] = [
  ['contents', new RegExp(CONTENTS, 'i')],
  ['legal', new RegExp(String.raw`^(${LEGAL})\b|^copyright ©|\b(urheberrecht|licence)\b.{0,20}$|\blicense$|©`, 'i')],
  ['thanks', new RegExp(String.raw`^(${THANKED})$|^(credits|thanks|thank you)\b`, 'i')],
  ['history', new RegExp(String.raw`^(${HISTORIES})$|^(changes|changelog)\b.*\b(version|history|\d)`, 'i')],
  [
    'index',
    /^(general |subject )?index$|^stichwortverzeichnis$|^index alphabétique$|^indices( and tables)?$|^glossary index$/i,
  ],
  ['references', new RegExp(String.raw`^(${REFERENCES})$`, 'i')],
  [
    'greeting',
    /^(welcome|housekeeping|before we (?:start|begin)|willkommen|bienvenue|bienvenid[oa]s)[!.]?$|^(?:thank you|the end|that['’]s all)\b/i,
  ],
  ['about', new RegExp(ABOUT_ITSELF, 'i')],
];

/** A note of an author to do something. In capitals only: "todo" is a word in other languages. */
export const isUnfinished = (text: string): boolean => /(?:^|[^\p{L}])(?:FIXME|TODO|TBD)(?:[^\p{L}]|$)/u.test(text);

/** Which kind of boilerplate a title heads; undefined when it heads matter to teach. */
export function boilerplateKind(title: string): Noise | undefined {
  const bare = title.trim().replace(/[.:]+$/, '');
  if (isUnfinished(bare)) return 'unfinished';
  return TITLES.find(([, pattern]) => pattern.test(bare))?.[0];
}

const GENERIC_TITLES = anyOf`
  introduction | overview | purpose | scope | general( information)? | background | requirements? | procedures?
  rationale | notes? | details? | specific options? | description | summary | conclusion | examples? | options?
  usage | definitions? | terminology | basics | principles? | syntax | tools | concepts? | steps | rules
  results? | features | main | other | miscellaneous | common errors | limitations | further information
  einführung | einleitung | überblick | allgemeines | grundlagen | übersicht | beschreibung | beispiele?
  introduction | présentation | généralités | aperçu | description | exemples? | introducción | resumen
  generalidades | descripción | ejemplos? | anexo | annex | appendix | slide \d+ | abstract
`;
const GENERIC = new RegExp(String.raw`^(${GENERIC_TITLES})$`, 'i');

/** Titles that say nothing without the one above them. */
export function isGenericTitle(title: string): boolean {
  return GENERIC.test(title.trim());
}
