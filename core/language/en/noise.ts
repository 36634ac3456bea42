import { saysDuty } from '../duties';
import type { NoiseDetector } from '../noise';
import { anyOf } from '../phrases';

/** Parts of a document that a reader can be sent to. */
const PLACES = anyOf`
  sections? | chapters? | parts? \d+ | appendix | appendices | annex(?:es)? | paragraphs? | pages? | slides?
  figures? | tables? | footnotes? | clauses? | manuals? | handbooks? | guides? | polic(?:y|ies) | documents?
  leaflets? | brochures? | web ?sites? | web pages? | intranet | wiki | faqs? | contents | glossary | index
`;
/** Of a document; a figure without a number is read off a gauge, and a table without one is looked at. */
const DOCUMENTS = anyOf`
  sections? | chapters? | parts? \d+ | appendix | appendices | annex(?:es)? | paragraphs? | pages? \d+ | slides? \d+
  figures? [\dA-Z] | tables? [\dA-Z] | footnotes? | clauses? | manuals? | handbooks? | guides? | polic(?:y|ies)
  documents? | leaflets? | brochures? | web ?sites? | web pages? | intranet | wiki | faqs? | glossary
`;
const where = (places: string): string =>
  String.raw`(?:${places}\b|\b(?:above|below)\b(?!\s+(?:the|an?|it|this|that|these|those|your|our|his|her|their|\d))|\boverleaf\b|https?://|\bwww\.|["“‘'])`;
const WHERE = where(PLACES);
/** A condition makes a pointer an instruction: "If the lamp stays red, see section 4." */
const CONDITION =
  /\b(?:if|when|whenever|unless|once|after|before|until|must|should|never|only|at least|at most|within)\b/i;
const wordsIn = (text: string): number => text.split(/\s+/).length;

const sends = (verbs: string, places: string) =>
  new RegExp(
    String.raw`^(?:(?:please|also|and|but|note:?)\s+)*(?:for [^.;:]{2,80}?,?\s+)?(?:please\s+)?(?:(?:you (?:can|may|will) )?(?:also )?${verbs})\b[^.;]*?${places}[^.;]*[.!]?$`,
    'i',
  );
const SENDS = sends(anyOf`see | refer to | consult`, WHERE);
/** What can be done with the hands as well ("Read the gauge and write the figure down."). */
const SENDS_TO_READ = sends(anyOf`read | look (?:at|in|up) | turn to | go to`, where(DOCUMENTS));
const TREATED = anyOf`
  described | explained | listed | found | given | set out | covered | discussed | defined | documented | detailed
  shown | laid down | dealt with | printed | available | published
`;
const STANDS_IN = new RegExp(
  String.raw`^(?:[^.;:]{2,90}?)\s(?:is|are|was|were|can be|will be|has been|have been)\s+(?:also\s+|further\s+|briefly\s+|fully\s+)?${TREATED}\s+(?:(?:in|on|at|under|by|as)\s+)?(?:(?:the|our|a|its)\s+)?(?:[\w-]+\s+){0,2}?${WHERE}[^.;]*[.]?$`,
  'i',
);
const MORE_ON = new RegExp(
  String.raw`^(?:more|further|details|information|an example|examples)\b[^.;]{0,80}?\b(?:in|on|at|under|from)\s+(?:the\s+|our\s+)?(?:[\w-]+\s+){0,2}?${WHERE}[^.;]*[.]?$`,
  'i',
);
const KINDS_OF_DOCUMENT = anyOf`
  policy | manual | handbook | handout | slides? | document | guide | course | film | video
`;
const SEEN = new RegExp(
  String.raw`^(?:so |and )?(?:you|we)(?:['’]ve| have)? (?:saw|seen|read|met|heard|got|had)\b[^.]{0,50}\b(?:example|story|picture|slide|table|figure|rule)?[^.]{0,20}\bin (?:the|our|your) ${KINDS_OF_DOCUMENT}\b`,
  'i',
);
const DEFERS =
  /^(?:this|that|it|these|both|more on (?:this|that))\b[^.;]{0,60}\b(?:is|are|comes?|follows?)\b[^.;]{0,30}\b(?:later|elsewhere|in (?:a|the) (?:later|next|following) (?:section|chapter|part))\b[^.;]{0,20}[.]?$/i;

const WAYS_TO_MAKE = anyOf`
  collected | compiled | written | edited | prepared | put together | translated | illustrated | recorded
  transcribed | drawn up | photos? | pictures? | illustrations? | text | words
`;
const CREDIT = new RegExp(
  String.raw`^${WAYS_TO_MAKE}\s+(?:and \w+ )?(?:of [\w\s]{2,30})?:?\s*(?:drawn |taken |made )?(?:by|:)\s`,
  'i',
);
const THANKS =
  /^(?:(?:many|our|special|with|warm)\s+)*(?:thanks|thank you)\b|^(?:we|i)\b[^.]{0,30}\b(?:thank|are grateful to|am grateful to)\b/i;
const OWN_NAMES = anyOf`
  document | handbook | manual | guide | policy | version | edition | handout | leaflet | booklet | page | post
  article | text | faq | list | deck | presentation | course | interview | transcript
`;
/** A document, named by itself. */
const ITSELF = String.raw`(?:this|the present|our|the)\s+(?:\w+\s+)?${OWN_NAMES}`;
const WAYS_TO_KEEP = anyOf`
  read | written | reviewed | updated | revised | printed | kept | maintained | intended | based | structured
  divided | organi[sz]ed | replaced | approved | meant | recorded | drawn
`;
const OWN_STORY = anyOf`
  (?:is|was|has been|should be|can be|may be|will be)\s+(?:also\s+|meant to be\s+|best\s+|regularly\s+)?${WAYS_TO_KEEP}
  has grown | replaces | supersedes | grew | consists of | comes in | contains \w+ (?:parts|chapters|sections)
  explains how to (?:read|use) (?:it|this) | describes what is in
`;
const OF_ITSELF = new RegExp(String.raw`^(?:${ITSELF}|it)\s+${OWN_STORY}\b`, 'i');
const KEEPS_IT =
  /^(?:the|our|its)\s[^.]{2,60}\s(?:reviews?|updates?|revises?|maintains?|keeps?|checks?)\s(?:this) (?:document|handbook|manual|guide|policy)\b/i;
const MISTAKES =
  /^(?:if|where|should) you (?:find|see|spot|notice) (?:a|any) (?:mistake|error|typo|gap|broken link)s?\b/i;
const SHORT_TEXTS = anyOf`
  answers | notes | questions | words | these | this | recorded | written | printed | taken
`;
const WRITTEN_DOWN = anyOf`
  written down | taken down | noted down | recorded | printed | transcribed | put down
`;
const ORIGIN = new RegExp(
  String.raw`^${SHORT_TEXTS}\b[^.]{0,40}\b${WRITTEN_DOWN}\b|^(?:the )?\w+ edition\b|\b(?:has|have) read (?:it|them|this)\b`,
  'i',
);
const FEEDBACK =
  /\b(?:comments?|corrections?|suggestions?|feedback|mistakes in (?:this|the) (?:text|document)|missing|questions about this|ideas for|feedback form)\b/i;
const TO_US =
  /\b(?:write|mail|e-?mail|send|contact|tell|let|ask)\b[^.]{0,40}\b(?:us|me|the (?:author|editor|authors|editors))\b|\bwelcome\b|\S+@\S+/i;

const DATA_LABELS = anyOf`
  owner | author | status | version | reference | ref | date | valid | effective date | date of issue
`;
const DONE_TO_DOCUMENTS = anyOf`
  approved | reviewed | published | printed | kept | maintained | owned | issued | adopted | prepared
`;
const DATA_LINES = anyOf`
  (?:this |the )?(?:document|doc\.?|slides?|pages?|handout|policy)\b:?\s+(?:\S+,\s+)?(?:version|last|no\.?|number|id\b)
  document \S*\d | (?:version|revision|edition|issue)\s+v?\d[\w.]*\s*(?:[,.;(]|$) | ${DATA_LABELS}\s*:
  ${DONE_TO_DOCUMENTS} (?:by|on|in)\b | (?:last|next) (?:updated|changed|reviewed|revised|edited|review)\b
  review date\b | first published\b
`;

/**
 * Lines of a document's own data: a label with a colon, a number or a name behind it, not a sentence that begins with
 * such a word ("Approved suppliers …").
 */
const DOCUMENT_DATA = new RegExp(String.raw`^${DATA_LINES}`, 'i');
const REPLACES =
  /^(?:this (?:version|edition|document) )?(?:replaces|supersedes) (?:the )?(?:version|edition|previous|earlier|\d)/i;
const ADOPTED = /,\s(?:adopted|approved|issued|published|agreed) (?:by|on|in|at)\b/i;
const CHANGED =
  /^(?:(?:new|changed|added|removed|corrected)\s+(?:in|since)\s+(?:this |the )?(?:version|edition|issue|revision)\b|changes (?:since|in|from|to)\b|in (?:this|the last|version) (?:edition|version|[\d.]+)\b[^.]{0,60}\b(?:added|changed|removed|corrected|renumbered)\b)/i;
/** Whose it is, in a line. */
const OWNED = /^(?:copyright\s*)?(?:©\s*(?:\d{4}|\p{L})|\(c\)\s*\d{4})[^.]{0,90}\.?$|^copyright\s+\d{4}\b.{0,90}$/iu;
const LEGAL_WORDS = anyOf`
  ^copyright\b | © | \ball rights reserved\b | \bpermission is (?:hereby )?granted\b | \blicensed? under the\b
  \bGNU (?:General Public|Free Documentation) License\b | \bwithout (?:any )?warranty\b
  \btrademarks? (?:of|and|are)\b | \bISBN\b
`;
const LEGAL = new RegExp(LEGAL_WORDS, 'i');

const PRAISES = anyOf`
  award[- ]winning | world[- ]class | market[- ]leading | industry[- ]leading | cutting[- ]edge
  state[- ]of[- ]the[- ]art | best[- ]in[- ]class | second to none | unparalleled | unrivalled | revolutionary
  trusted by | loved by | (?:has|have) delighted | delights? | proud to | of choice for
  (?:most|best|fastest|smartest) [\w-]+ (?:\w+ )?(?:in (?:its|their|the) (?:class|field|market|world|industry)|on the market|in the world)
  like never before | next level | game[- ]chang\w+
`;
const PRAISE = new RegExp(String.raw`\b${PRAISES}\b`, 'i');

const HELLO =
  /^(?:(?:so|okay|ok|right|well|um|uh|and)[,.]?\s+)*(?:hello|hi|hey|good (?:morning|afternoon|evening|day)|welcome(?: back| to| everybody| everyone| all)?(?=[,.!]| to )|greetings)\b/i;
const NAMES_SELF =
  /\b(?:my name is|(?:I['’]m|I am) (?:your|the host|going to be your)|this is \p{Lu}\p{Ll}+ speaking)\b|^(?:(?:so|okay|and|um|uh|well)[,.]?\s+)*(?:I['’]m|I am) \p{Lu}\p{Ll}+\b/iu;
const HALL_THINGS = anyOf`
  hear me | see me | microphone | mic | next slide | (?:this|that|last|previous|first|other) slides?
  slides (?:put|are) | the slides? | recording | camera | (?:my|the) screen | screen share | at the back
  back row | is this on | red light | watching this | my talk | the clock says | out of time | time is up
  minutes left | coffee (?:break|is) | cake | lunch (?:break|is) | any (?:other )?questions | that a question
  applause | for coming | see you (?:next|all|soon|there) | without slides | quarter of an hour | bear with me
  where was I | where were we | what was I | excuse me | as I said | like I said | as I was saying | I lost my
`;
/** Things of a hall or a recording: a sentence that only deals with them is said to those present. */
const HALL = new RegExp(
  String.raw`\b${HALL_THINGS}\b|^(?:questions|right|okay|ok|good|so|well|anyway|great|now|uh|um)[?.,!]*$`,
  'i',
);
const DAY_THINGS = anyOf`
  coffee | tea and | sandwiches | biscuits | lunch | cake | (?:phones?|mobiles?) (?:on|off|to|in) | on silent
  silly questions | help yourself | toilets are | feedback form | sign the list | name badges?
  we(?:['’]ll| will) show you | wi-?fi
`;
/** What concerns those who sit together for a day: food, phones, forms. */
const HOUSEKEEPING = new RegExp(String.raw`\b${DAY_THINGS}\b`, 'i');
const SPOKEN_OF = anyOf`
  talk | tell | show | start | begin | say | thank | share | mention | finish | close
`;
const TOLD_NEXT = anyOf`
  talk | tell you (?:one|a|some|about) | show you | start | begin | come (?:back|to) | explain | get to | go on
  say | finish
`;
const PLANS_OF_SPEAKERS = anyOf`
  I(?:['’]m| am) (?:not )?(?:going to|here to|gonna) (?:talk|say|tell|show|start|begin|speak|explain)
  I (?:want(?:ed)?|would like|['’]d like) to ${SPOKEN_OF} | I(?:['’]ll| will) ${TOLD_NEXT}
  let me (?:talk|tell|show|start|explain|say|see|begin)
  (?:they|you|people)(?:['’]ve| have)? asked me to (?:talk|speak|say)
  I(?:['’]ve| have) (?:got )?(?:some|a few) questions | I(?:['’]ve| have)? no idea what | so you get a post
  I(?:['’]ll| will) (?:ring|see|call|meet|write to) you (?:in|on|at|next|all) | do I press
`;
/** Says that something will be said, rather than saying it. */
const OF_THE_TALK = new RegExp(String.raw`\b${PLANS_OF_SPEAKERS}\b|\bhow long (?:was|is) (?:that|this)\b`, 'i');
const CLOSING_WORDS = anyOf`
  that['’]?s (?:it|all)(?: from me| for (?:today|now|this))?(?:,? (?:I think|really|then|everybody|everyone))?[.!]?$
  that['’]s it\b | i['’]?ll stop there\b | i['’]m (?:nearly )?done\b
`;
const CLOSES = new RegExp(
  String.raw`^(?:(?:so|and|okay|well|right),? )*${CLOSING_WORDS}|\bthat['’]s (?:it|all) (?:from me|for (?:today|now|this))[.!]?$`,
  'i',
);
/** Takes leave of those present. */
const LEAVES =
  /^(?:(?:so|and|well|okay),? )*(?:see you(?: (?:all|both|everybody))?(?: (?:soon|later|then|there|again|around|next|tomorrow|on|at|in)\b[^.]{0,40})?|(?:good)?bye\b[^.]{0,20}|take care(?:,? (?:all|everybody|everyone))?)[.!]$/i;
/** Only says that another matter comes. */
const ANOTHER =
  /^(?:(?:and|so|okay|right|now|well|then|um|uh)[,.]? )*(?:what else|(?:the )?(?:first|next|last) one|one more(?: thing)?|next|moving on)[.?!:]$/i;
/** Says that something will be shown to those present. */
const SHOWS = /^we(?:['’]ll| will) show you\b/i;
/** What those present cannot see of the speaker; of a camera that is watched the same words tell a guard something. */
const UNSEEN =
  /\byou (?:can['’]t|cannot|won['’]t|will not) see (?:it|that|this|me|them)\b[^.]{0,20}\b(?:camera|screen|video|recording|picture)\b/i;
const OF_THE_COURSE =
  /^(?:the|this|our) (?:course|training|workshop|lessons?) (?:(?:would|will|should) be|is(?: meant to be)?) (?:for|about)\b/i;
const AGREES = /^I (?:do |quite |really |can )?(?:understand|know|agree|see)(?: (?:it|that|you|this))?[.!]$/i;
/** Takes back that what was told matters. */
const DISMISSES =
  /^(?:(?:but|well|anyway|oh),? )?(?:it (?:doesn['’]t|does not) matter|never mind|forget (?:that|it|I said that)|that['’]s another (?:story|matter)|not (?:so )?important)[.!]$/i;

/** Whether a sentence says that what was told before it does not matter. */
export const dismisses = (sentence: string): boolean => DISMISSES.test(sentence);
const POLITE_WORDS = anyOf`
  sorry | pardon | excuse me | please | never mind | you['’]re welcome | no problem | of course | sure
`;
const POLITE = new RegExp(
  String.raw`^${POLITE_WORDS}[.,!?]*$|^(?:so\s+)?thank(?:s| you)(?: (?:so|very) much)?,?(?: (?:all|everybody|everyone|both))?(?: (?:for|to) [^.]{0,60})?[.!]?$`,
  'i',
);

/** The kinds of noise an English sentence can be, the surest first. */
export const ENGLISH_NOISE: readonly NoiseDetector[] = [
  {
    noise: 'pointer',
    always: true,
    is: (text, { step }) =>
      wordsIn(text) <= 32 &&
      !CONDITION.test(text) &&
      ([SENDS, STANDS_IN, MORE_ON, DEFERS, ...(step ? [] : [SENDS_TO_READ])].some((pattern) => pattern.test(text)) ||
        (wordsIn(text) <= 20 && SEEN.test(text))),
  },
  {
    noise: 'contact',
    always: true,
    is: (text) =>
      wordsIn(text) <= 40 &&
      ((FEEDBACK.test(text) && TO_US.test(text)) ||
        MISTAKES.test(text) ||
        /\b(?:fill in|hand in|complete|return) (?:the|this|our|your) (?:feedback|evaluation) (?:form|sheet)\b/i.test(
          text,
        )),
  },
  {
    noise: 'thanks',
    always: false,
    is: (text, { spoken }) => (!spoken && THANKS.test(text)) || (CREDIT.test(text) && wordsIn(text) <= 12),
  },
  {
    noise: 'history',
    always: true,
    is: (text, { edge, opening }) =>
      wordsIn(text) <= 24 &&
      edge &&
      (REPLACES.test(text) || (!saysDuty(text) && (DOCUMENT_DATA.test(text) || (opening && ADOPTED.test(text))))),
  },
  { noise: 'history', always: false, is: (text) => CHANGED.test(text) },
  {
    noise: 'about',
    always: true,
    is: (text, { edge, opening }) =>
      KEEPS_IT.test(text) ||
      ((edge || opening || !/^it\b/i.test(text)) && OF_ITSELF.test(text)) ||
      ((edge || opening) && ORIGIN.test(text)),
  },
  { noise: 'about', always: false, is: (text, { opening, bare }) => opening && bare && wordsIn(text) <= 20 },
  { noise: 'legal', always: true, is: (text) => OWNED.test(text) && !saysDuty(text) },
  { noise: 'legal', always: false, is: (text) => LEGAL.test(text) },
  { noise: 'marketing', always: false, is: (text) => PRAISE.test(text) },
  {
    noise: 'greeting',
    always: true,
    is: (text, { spoken, edge }) => spoken && edge && (HELLO.test(text) || NAMES_SELF.test(text)),
  },
  {
    noise: 'stage',
    always: false,
    is: (text, { spoken, voice, edge }) =>
      wordsIn(text) <= 28 &&
      ((spoken && HALL.test(text)) ||
        (voice && OF_THE_TALK.test(text)) ||
        (spoken && wordsIn(text) <= 8 && (CLOSES.test(text) || ANOTHER.test(text))) ||
        (spoken && edge && LEAVES.test(text)) ||
        (edge && (HOUSEKEEPING.test(text) || (spoken && CLOSES.test(text))))),
  },
  { noise: 'stage', always: false, is: (text, { voice }) => voice && wordsIn(text) <= 45 && OF_THE_COURSE.test(text) },
  { noise: 'stage', always: false, is: (text) => wordsIn(text) <= 10 && SHOWS.test(text) },
  {
    noise: 'stage',
    always: true,
    is: (text, { spoken }) => spoken && wordsIn(text) <= 14 && UNSEEN.test(text) && /\b(?:I|my|me)\b/.test(text),
  },
  {
    noise: 'politeness',
    always: false,
    is: (text, { voice }) => voice && (POLITE.test(text) || AGREES.test(text) || DISMISSES.test(text)),
  },
];
