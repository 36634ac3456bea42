import type { Problem } from '../../core/document/problem';

type Wording = (parameters: Record<string, string | number>) => string;

/** What each problem is to a person: what happened, and what to do. */
const PROBLEMS: Record<string, Wording> = {
  empty: () => 'the file is empty (0 bytes). Check that it was saved or copied completely.',
  'no-such-file': () => 'there is no such file or folder.',
  'not-allowed': () => 'this user may not open it.',
  'cannot-open': () => 'it could not be opened.',
  'not-read-here': ({ extension }) =>
    `files of this kind (${extension}) are not read. Read are: docx, odt, rtf, pdf, epub, pptx, odp, xlsx, ods, csv, html (a file or a folder of pages), md, txt, vtt, srt, and a zip of these.`,
  'name-lies': ({ extension }) =>
    `the file is named .${extension} but is something else inside. Open it in its program and save it again, or correct the name.`,
  'not-this-format': ({ format }) =>
    `it is a zip, but not a ${format} document. Open it in its program and save it again.`,
  password: () => 'it is locked with a password. Save a copy without the password.',
  broken: ({ format }) =>
    `the ${format || ''} file is damaged and cannot be read. Open it in its program and save it again, or take another copy.`.replace(
      '  ',
      ' ',
    ),
  'zip-broken': () => 'the file is damaged or cut off. Copy or download it again.',
  'zip-too-big': ({ megabytes }) =>
    `it unpacks to more than ${megabytes} MB, which no document needs; it was not read.`,
  'zip-too-many': ({ limit }) => `it holds more than ${limit} parts; it was not read.`,
  'xml-entities': () =>
    'a part of it declares entities of its own, which can reach other files; it was not read. Save it again with an office program.',
  'file-too-big': ({ megabytes, limit }) => `it has ${megabytes} MB; up to ${limit} MB are taken.`,
  'too-much-text': ({ millions }) => `it holds more than ${millions} million characters. Split it.`,
  'too-many-pages': ({ pages, limit }) => `it has ${pages} pages; up to ${limit} are read. Split it.`,
  scanned: ({ pages }) =>
    `its ${pages} pages are pictures without text (a scan?). Run it through text recognition first and give the result.`,
  'no-text': () => 'no text was found in it.',
  'not-text': () => 'it holds binary data, not text.',
  'no-cues': () => 'no timed words were found in it.',
  'bad-address': () =>
    'this is no address of a page: it begins with http:// or https://, without a name or password in it.',
  'address-private': () =>
    'this address lies in a closed network. Only pages of the open one are fetched; save the page and give the file.',
  'not-reached': () => 'nothing answers at this address. Is this machine online? Save the page and give the file.',
  'page-answered': ({ status }) =>
    `the page was not given (${status}). Is it behind a sign-in? Save it and give the file.`,
  'too-many-redirects': ({ limit }) => `it leads on more than ${limit} times.`,
  'page-too-big': ({ limit }) => `it has more than ${limit} MB.`,
  'page-too-slow': ({ seconds }) => `it did not come within ${seconds} seconds. Try again later.`,
  'page-kind': ({ type }) => `what lies there (${type}) is not read. Save it and give the file, if it is a document.`,
  'not-a-link': () => 'this source was not fetched from an address.',
  'zip-empty': () => 'there is no file in it.',
  'no-outline': () => 'there are no lines of an outline in it.',
  'no-pages': () => 'no HTML pages were found in the folder.',
  'reader-stopped': () =>
    'reading it took too much memory or broke the reader; nothing else was harmed. Save it again in a simpler form, or split it.',
  'newer-data': ({ version, known }) =>
    `the data folder was written by a newer version of Uplift Path (${version}; this one knows ${known}). Start the newer version; nothing was changed.`,
  'reader-too-slow': ({ seconds }) =>
    `reading it took longer than ${seconds} seconds and was stopped; nothing of it was kept. Save it again in a simpler form, or split it.`,
  'data-missing': () =>
    'the folder holds files but no database, or an empty one: something went missing. Nothing was begun anew, so that nothing is hidden. Put a copy back with “npm run restore”, or give another folder.',
  'data-damaged': () =>
    'the database is damaged. Nothing was changed. Stop the desk and run “npm run check”, then “npm run repair”, or put a copy back with “npm run restore”.',
  'data-unreadable': () =>
    'the data folder cannot be opened: it belongs to somebody else, or the disk fails. Check who owns it; nothing was changed.',
  'disk-full': () =>
    'the disk is full. What you have can be read; what you type is kept in this browser and saved as soon as there is room.',
  'disk-read-only': () =>
    'the disk takes no changes at the moment. What you type is kept in this browser and saved as soon as it does.',
  'newer-document': ({ version, known }) =>
    `it was written by a newer version of Uplift Path (${version}; this one knows ${known}). Start the newer version; nothing was changed.`,
  'bad-log': () =>
    'what was kept of this course is damaged. Nothing else is. Stop the desk and run “npm run check”, then “npm run repair”.',
  'no-such-course': () => 'there is no such course, or you have no part in it.',
  'no-such-job': () => 'this work is not known here.',
  'no-such-letter': () => 'there is no such letter any more.',
  'no-mail': () => 'there is no address to write to. Enter one.',
  'link-over': () => 'this link works no more: it was used, is too old, or a newer one was sent. Ask for another.',
  'mail-refused': ({ said }) => `the mail server refused it: “${said}”. Check the address.`,
  'mail-not-reached': ({ said }) => `the mail server could not be reached (${said}).`,
  'mail-not-let-in': () => 'the mail server does not let this desk in. Check name and password in UPLIFT_MAIL.',
  'mail-came-back': () => 'it came back: nobody has that address. Check it and send it again.',
  'nothing-left': () => 'nothing of it is left to do.',
  'no-such-release': () => 'this course has no such release.',
  'nothing-to-release': () => 'there is no lesson with text yet. Draft or write one first.',
  'no-such-link': () => 'there is no course at this address. Ask whoever gave it to you.',
  'not-available': () => 'this course is not available at the moment. What you did is kept.',
  'not-begun': () => 'begin the course first.',
  'name-wanted': () => 'enter your name first.',
  'wrong-key': () => 'this address has no place in the course. Copy it again from where you began.',
  fault: () => 'something went wrong on our side. Nothing you saved is lost.',
  'no-such-version': () => 'this course has no such version.',
  'no-such-source': () => 'this course does not use that source.',
  'two-sources': () => 'choose two sources of this course.',
  stopped: () => 'reading it was stopped; nothing of it was kept.',
  'nothing-answered': () => 'no question is answered yet.',
  'no-right': () => 'you may not do this here. Ask an author of the course.',
  'not-signed-in': () => 'sign in first.',
  'wrong-sign-in': () => 'name or password is wrong.',
  'too-many-tries': ({ seconds }) => `too many tries. Wait ${waitWords(seconds)}, then try again.`,
  'too-often': ({ seconds }) => `that is too often. Wait ${waitWords(seconds)}.`,
  'body-too-big': ({ limit }) => `too much was sent at once (up to ${limit}).`,
  'bad-path': () => 'this is no address of ours.',
  'bad-json': () => 'what was sent cannot be read.',
  'own-password-first': () => 'choose a password of your own first.',
  'wrong-password': () => 'your password is another one.',
  'same-password': () => 'that is the password you have. Choose another.',
  'weak-password': () =>
    'this password is easily guessed: it needs at least five different signs, and more than your sign-in name.',
  'mixed-name': () => 'this sign-in name mixes letters of several writings, which can deceive. Use one.',
  'name-alike': ({ login }) => `this sign-in name looks like “${login}”, who is here already. Choose another.`,
  'last-owner': () => 'somebody has to own the installation. Make somebody else an owner first.',
  'not-oneself': () => 'you cannot take yourself out. Ask another owner.',
  'no-such-session': () => 'that sign-in has ended already.',
  'no-such-media': () => 'this file is not here.',
  'media-kind': ({ kinds }) => `it is none of the kinds of files a course takes, by its bytes. These are: ${kinds}.`,
  'diagram-link': () => 'a drawing leads from or to somebody who is not in it.',
  'clip-part': () => 'the part of a clip that is played ends before it begins.',
  'clip-cues': () => 'captions of a clip are out of order, or end before they begin.',
  'file-not-shown': () => 'a file that cannot be shown on a page is not to be taken along either.',
  'no-picture': ({ kinds }) => `it is no picture that can be shown. These can: ${kinds}.`,
  'picture-too-big': ({ megapixels, limit }) =>
    `it has ${megapixels} million pixels; up to ${limit} million can be shown. Make it smaller first.`,
  'too-much-media': ({ limit }) =>
    `the course has nearly ${limit} MB of media, which is the most it may have. Throw away or shorten something first.`,
  'nothing-to-grant': () => 'there is no quiz here whose time or tries are limited so.',
  'too-late': () => 'this try at the quiz was over by then.',
  'no-quiz': () => 'a quiz in it does not say how it is taken.',
  'not-a-quiz': () => 'a lesson in it is taken like a quiz and is none.',
  'file-kind': ({ kinds }) => `this kind of file is not taken here. Taken are: ${kinds}.`,
  'file-not-so': ({ ending }) =>
    `its contents are not those of ${ending ? `a file that ends in .${ending}` : 'such a file'}.`,
  'too-much-handed': ({ limit }) => `more than ${limit} MB would be handed in, which is the most.`,
  'too-much-together': ({ limit }) => `together they are more than ${limit} MB. Save them task by task.`,
  'no-such-form': () => 'there is no such form here.',
  'form-changed': () => 'whether names go with it was changed meanwhile. Reload the page; what you filled in is kept.',
  'form-not-so': () => 'a question that needs an answer is open, or an answer is none to its question.',
  'given-already': () => 'it was sent from here already; without a name it cannot be found again to be changed.',
  'no-such-sheet': () => 'it was taken out already.',
  'no-such-task': () => 'there is no such task here.',
  'nothing-to-mark': () => 'there is no answer of this learner to mark.',
  'no-such-learner': () => 'there is no such learner in this course.',
  'not-yours-to-change': () =>
    'this source belongs to somebody else. Ask its owner to put the newer version, or to let you; you can also add the file as a source of your own.',
  withdrawn: () =>
    'the author has withdrawn this course. What you did is kept, and you can go on if it is made available again.',
  'lesson-closed': () => 'this lesson opens when the one before it is done.',
  'last-author': () => 'a course needs an author. Make somebody else one first.',
  'no-such-person': () => 'there is no such person here.',
  'name-taken': () => 'somebody signs in with this name already.',
  'not-a-demo': () => 'signing in without a password is possible in the demo only.',
  'has-owner': () => 'there is an owner already.',
  'bad-input': ({ rule }) => `what was sent cannot be used (${rule || 'its form'}).`,
  'nothing-to-undo': () => 'there is nothing to undo.',
  'nothing-to-redo': () => 'there is nothing to redo.',
  'undo-changed-meanwhile': ({ what }) =>
    `"${what}" cannot be undone: the same place was changed since. Nothing was changed.`,
  'changed-meanwhile': () => 'somebody changed the same place meanwhile.',
  'with-gesture': () => 'it belongs to a change of which another part did not fit.',
  'bin-not-yours': () => 'what lies in the bin is not said by who deletes.',
  'undo-does-not-fit': ({ what }) =>
    `"${what}" cannot be undone any more: what it was about has changed since. Nothing was changed.`,
  'no-such-check': () => 'the question it places is not in the course any more. Look in the bin.',
  'no-such-objective': () => 'what the learner can do is not in the course any more.',
  'no-such-scene': () => 'a choice leads to a scene that is not there.',
  'nothing-to-hand-in': () => 'a task asks for nothing to be handed in.',
  'range-turned': () => 'a task asks for more words than it takes.',
  'outside-picture': () => 'an area lies outside its picture.',
  'no-key': () => 'a question needs one of its answers as the right one.',
  gone: () => 'it is not there any more. Look in the bin.',
  'place-gone': () => 'the place it should go to is not there any more.',
  'id-taken': () => 'it is in the course already.',
  'nothing-to-draft': () =>
    'the sources hold nothing that fits here and can be taught from. Add a source, or write it yourself.',
  'no-sources': () => 'there is no source yet. Add one first.',
  'taught-elsewhere': ({ lesson }) =>
    `what the sources say on this stands in the lesson "${lesson}". Move passages from there, or give this lesson others.`,
  'bad-brief': ({ rule }) => `this value is not possible (${rule}).`,
  'two-sizes': () => 'give either minutes or counts of modules and lessons, not both.',
  'not-an-archive': () => 'it is not a course archive.',
  'newer-archive': ({ version, known }) =>
    `it was written by a newer version (format ${version}; this one reads up to ${known}).`,
  'bad-document': ({ reason }) => `the course in it is damaged (${reason}).`,
};

/** Seconds as a person says them. */
function waitWords(seconds: string | number): string {
  const whole = Number(seconds);
  return whole > 90 ? `${Math.ceil(whole / 60)} minutes` : `${whole} seconds`;
}

const NOTICES: Record<string, Wording> = {
  'encoding-guessed': () => 'is not UTF-8; read as Windows-1252.',
  'rows-left-out': ({ limit }) => `has more rows than ${limit}; the rest was left out.`,
  'copying-not-allowed': () => 'is marked by its owner as not to be copied from. Make sure that you may use it.',
  'times-out-of-order': () => 'has times out of order; they were sorted.',
  'language-not-understood': ({ language }) =>
    `is in a language (${language}) whose sentences are not understood yet: outline, lesson text and coverage are drafted, objectives and questions are not.`,
  'language-in-part': ({ language }) =>
    `is in a language (${language}) of which rules, terms, steps and figures are found; objectives and questions are not drafted yet.`,
  'fewer-modules': ({ asked, got }) => `${asked} modules were asked for; the sources give ${got}.`,
  'fewer-lessons': ({ asked, got }) => `${asked} lessons a module were asked for; the smallest module has ${got}.`,
  'minutes-over': ({ asked, got }) =>
    `${asked} minutes were asked for; it takes ${got}, since nothing that instructs is left out of a topic that is kept.`,
  'minutes-not-reached': ({ asked, got }) => `${asked} minutes were asked for; the sources give ${got}.`,
};

/** A problem as a sentence. */
export function say(problem: Problem): string {
  const wording = PROBLEMS[problem.code];
  const text = wording ? wording(problem.parameters ?? {}) : `something went wrong (${problem.code}).`;
  return problem.place ? `${problem.place}: ${text}` : text.charAt(0).toUpperCase() + text.slice(1);
}

/** A notice as a sentence; `about` is the source it is about. */
export function sayNotice(
  notice: { code: string; parameters?: Record<string, string | number> },
  about?: string,
): string {
  const text = NOTICES[notice.code]?.(notice.parameters ?? {}) ?? notice.code;
  return about ? `${about} ${text}` : text;
}

/** Problem codes that have words, for tests. */
export const worded = { problems: Object.keys(PROBLEMS), notices: Object.keys(NOTICES) };
