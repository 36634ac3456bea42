import type { NoiseDetector } from '../noise';

/** Parts of a document that a reader can be sent to. */
const PLACES = String.raw`(?:sections?|chapters?|parts?|appendix|appendices|annex(?:es)?|paragraphs?|pages?|slides?|figures?|tables?|footnotes?|clauses?|manuals?|handbooks?|guides?|polic(?:y|ies)|documents?|leaflets?|brochures?|web ?sites?|web pages?|intranet|wiki|faqs?|contents|glossary|index)`;
const WHERE = String.raw`(?:${PLACES}\b|\babove\b|\bbelow\b|\boverleaf\b|https?://|\bwww\.|["“‘'])`;
/** A condition makes a pointer an instruction: "If the lamp stays red, see section 4." */
const CONDITION = /\b(?:if|when|whenever|unless|once|after|before|until|must|should|never|only|at least|at most|within)\b/i;
const wordsIn = (text: string): number => text.split(/\s+/).length;

const SENDS = new RegExp(String.raw`^(?:(?:please|also|and|but|note:?)\s+)*(?:for [^.;:]{2,80}?,?\s+)?(?:please\s+)?(?:(?:you (?:can|may|will) )?(?:also )?(?:see|refer to|consult|read|look (?:at|in|up)|turn to|go to))\b[^.;]*?${WHERE}[^.;]*[.!]?$`, 'i');
const STANDS_IN = new RegExp(String.raw`^(?:[^.;:]{2,90}?)\s(?:is|are|was|were|can be|will be|has been|have been)\s+(?:also\s+|further\s+|briefly\s+|fully\s+)?(?:described|explained|listed|found|given|set out|covered|discussed|defined|documented|detailed|shown|laid down|dealt with|printed|available|published)\s+(?:(?:in|on|at|under|by|as)\s+)?(?:(?:the|our|a|its)\s+)?(?:[\w-]+\s+){0,2}?${WHERE}[^.;]*[.]?$`, 'i');
const MORE_ON = new RegExp(String.raw`^(?:more|further|details|information|an example|examples)\b[^.;]{0,80}?\b(?:in|on|at|under|from)\s+(?:the\s+|our\s+)?(?:[\w-]+\s+){0,2}?${WHERE}[^.;]*[.]?$`, 'i');
const DEFERS = /^(?:this|that|it|these|both|more on (?:this|that))\b[^.;]{0,60}\b(?:is|are|comes?|follows?)\b[^.;]{0,30}\b(?:later|elsewhere|in (?:a|the) (?:later|next|following) (?:section|chapter|part))\b[^.;]{0,20}[.]?$/i;

const CREDIT = /^(?:collected|compiled|written|edited|prepared|put together|translated|illustrated|recorded|transcribed|drawn up|photos?|pictures?|illustrations?|text|words)\s+(?:and \w+ )?(?:by|:)\s/i;
const THANKS = /^(?:(?:many|our|special|with|warm)\s+)*(?:thanks|thank you)\b|^(?:we|i)\b[^.]{0,30}\b(?:thank|are grateful to|am grateful to)\b/i;
const FEEDBACK = /\b(?:comments?|corrections?|suggestions?|feedback|mistakes in (?:this|the) (?:text|document)|missing|questions about this|ideas for)\b/i;
const TO_US = /\b(?:write|mail|e-?mail|send|contact|tell|let|ask)\b[^.]{0,40}\b(?:us|me|the (?:author|editor|authors|editors))\b|\bwelcome\b|\S+@\S+/i;

const DOCUMENT_DATA = /^(?:document (?:no\.?|number|id|owner|status)|doc\.? ?no|ref(?:erence)?\.? ?(?:no|number)?\b|version|revision|edition|issue \d|status|owner|author|approved|reviewed|published|printed|last (?:updated|changed|reviewed|revised|edited)|next review|review date|replaces|supersedes|date of issue|effective date|first published|updated)\b/i;
const CHANGED = /^(?:(?:new|changed|added|removed|corrected)\s+(?:in|since)\s+(?:this |the )?(?:version|edition|issue|revision)\b|changes (?:since|in|from|to)\b|in (?:this|the last|version) (?:edition|version|[\d.]+)\b[^.]{0,60}\b(?:added|changed|removed|corrected|renumbered)\b)/i;
const LEGAL = /^copyright\b|©|\ball rights reserved\b|\bpermission is (?:hereby )?granted\b|\blicensed? under the\b|\bGNU (?:General Public|Free Documentation) License\b|\bwithout (?:any )?warranty\b|\btrademarks? (?:of|and|are)\b|\bISBN\b/i;

const PRAISE = /\b(?:award[- ]winning|world[- ]class|market[- ]leading|industry[- ]leading|cutting[- ]edge|state[- ]of[- ]the[- ]art|best[- ]in[- ]class|second to none|unparalleled|unrivalled|revolutionary|trusted by|loved by|(?:has|have) delighted|delights?|proud to|of choice for|(?:most|best|fastest|smartest) [\w-]+ (?:\w+ )?(?:in (?:its|their|the) (?:class|field|market|world|industry)|on the market|in the world)|like never before|next level|game[- ]chang\w+)\b/i;

const HELLO = /^(?:(?:so|okay|ok|right|well|um|uh|and)[,.]?\s+)*(?:hello|hi|hey|good (?:morning|afternoon|evening|day)|welcome(?: back)?|greetings)\b/i;
const NAMES_SELF = /\b(?:my name is|(?:I['’]m|I am) (?:your|the host|going to be your)|this is \p{Lu}\p{Ll}+ speaking)\b|^(?:(?:so|okay|and|um|uh|well)[,.]?\s+)*(?:I['’]m|I am) \p{Lu}\p{Ll}+\b/iu;
/** Things of a hall or a recording: a sentence that only deals with them is said to those present. */
const HALL = /\b(?:hear me|see me|microphone|mic|next slide|(?:this|that|last|previous|first|other) slides?|slides (?:put|are)|the slides?|recording|camera|(?:my|the) screen|screen share|at the back|back row|is this on|red light|watching this|my talk|the clock says|out of time|time is up|minutes left|coffee (?:break|is)|cake|lunch (?:break|is)|any (?:other )?questions|that a question|applause|for coming|see you (?:next|all|soon|there)|without slides|quarter of an hour|bear with me|where was I|where were we|what was I|excuse me|as I said|like I said|as I was saying|I lost my)\b|^(?:questions|right|okay|ok|good|yes|no|so|well|anyway|great|now|uh|um)[?.,!]*$/i;
const CLOSES = /\bthat['’]?s (?:it|all)(?: from me| for (?:today|now|this))?[.!]?$|^(?:that['’]s it|and that['’]s (?:it|all)|i['’]?ll stop there|i['’]m (?:nearly )?done)\b/i;
const POLITE = /^(?:sorry|pardon|excuse me|please|never mind|you['’]re welcome|no problem|of course|sure)[.,!?]*$|^(?:so\s+)?thank(?:s| you)(?: (?:so|very) much)?(?: (?:for|to) [^.]{0,60})?[.!]?$/i;

/** The kinds of noise an English sentence can be, the surest first. */
export const ENGLISH_NOISE: readonly NoiseDetector[] = [
  { noise: 'pointer', always: true, is: (text) => wordsIn(text) <= 32 && !CONDITION.test(text) && [SENDS, STANDS_IN, MORE_ON, DEFERS].some((pattern) => pattern.test(text)) },
  { noise: 'contact', always: true, is: (text) => wordsIn(text) <= 40 && FEEDBACK.test(text) && TO_US.test(text) },
  { noise: 'thanks', always: false, is: (text, { spoken }) => (!spoken && THANKS.test(text)) || (CREDIT.test(text) && wordsIn(text) <= 12) },
  { noise: 'history', always: false, is: (text, { edge }) => CHANGED.test(text) || (edge && DOCUMENT_DATA.test(text) && wordsIn(text) <= 24) },
  { noise: 'legal', always: false, is: (text) => LEGAL.test(text) },
  { noise: 'marketing', always: false, is: (text) => PRAISE.test(text) },
  { noise: 'greeting', always: false, is: (text, { spoken }) => spoken && (HELLO.test(text) || NAMES_SELF.test(text)) },
  { noise: 'stage', always: false, is: (text, { spoken, edge }) => spoken && wordsIn(text) <= 28 && (HALL.test(text) || (edge && CLOSES.test(text))) },
  { noise: 'politeness', always: false, is: (text, { spoken }) => spoken && POLITE.test(text) },
];
