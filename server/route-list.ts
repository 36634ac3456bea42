// Written by "npm run routes" from the files in server/api; a test holds it to them.
/* eslint-disable @typescript-eslint/consistent-type-imports */
import type { Right } from './rights/right';

/** Every route by method and pattern, with its definition: what the desk's client is typed by. */
export interface Routes {
  'DELETE /api/courses/:course': typeof import('./api/courses/[course]/index.delete').default;
  'DELETE /api/courses/:course/forms/:block/sheets/:sheet': typeof import('./api/courses/[course]/forms/[block]/sheets/[sheet].delete').default;
  'DELETE /api/courses/:course/jobs/:job': typeof import('./api/courses/[course]/jobs/[job].delete').default;
  'DELETE /api/courses/:course/learners/:learner': typeof import('./api/courses/[course]/learners/[learner].delete').default;
  'DELETE /api/courses/:course/membership': typeof import('./api/courses/[course]/membership.delete').default;
  'DELETE /api/courses/:course/sources/:source': typeof import('./api/courses/[course]/sources/[source].delete').default;
  'DELETE /api/me/sessions': typeof import('./api/me/sessions/index.delete').default;
  'DELETE /api/me/sessions/:session': typeof import('./api/me/sessions/[session].delete').default;
  'DELETE /api/people/:person': typeof import('./api/people/[person].delete').default;
  'GET /api/audit': typeof import('./api/audit.get').default;
  'GET /api/bin': typeof import('./api/bin/index.get').default;
  'GET /api/courses': typeof import('./api/courses/index.get').default;
  'GET /api/courses/:course': typeof import('./api/courses/[course]/index.get').default;
  'GET /api/courses/:course/account': typeof import('./api/courses/[course]/account.get').default;
  'GET /api/courses/:course/answers': typeof import('./api/courses/[course]/answers.get').default;
  'GET /api/courses/:course/archive': typeof import('./api/courses/[course]/archive.get').default;
  'GET /api/courses/:course/brief': typeof import('./api/courses/[course]/brief.get').default;
  'GET /api/courses/:course/changes': typeof import('./api/courses/[course]/changes.get').default;
  'GET /api/courses/:course/checks/:check/answers': typeof import('./api/courses/[course]/checks/[check]/answers.get').default;
  'GET /api/courses/:course/checks/:check/standing': typeof import('./api/courses/[course]/checks/[check]/standing.get').default;
  'GET /api/courses/:course/checks/:check/ways': typeof import('./api/courses/[course]/checks/[check]/ways.get').default;
  'GET /api/courses/:course/comparison': typeof import('./api/courses/[course]/comparison.get').default;
  'GET /api/courses/:course/contradictions': typeof import('./api/courses/[course]/contradictions.get').default;
  'GET /api/courses/:course/deck': typeof import('./api/courses/[course]/deck.get').default;
  'GET /api/courses/:course/events': typeof import('./api/courses/[course]/events.get').default;
  'GET /api/courses/:course/figures': typeof import('./api/courses/[course]/figures.get').default;
  'GET /api/courses/:course/forms': typeof import('./api/courses/[course]/forms/index.get').default;
  'GET /api/courses/:course/forms/:block': typeof import('./api/courses/[course]/forms/[block]/index.get').default;
  'GET /api/courses/:course/forms/:block/table': typeof import('./api/courses/[course]/forms/[block]/table.get').default;
  'GET /api/courses/:course/hand-ins': typeof import('./api/courses/[course]/hand-ins/index.get').default;
  'GET /api/courses/:course/hand-ins/together': typeof import('./api/courses/[course]/hand-ins/together.get').default;
  'GET /api/courses/:course/jobs': typeof import('./api/courses/[course]/jobs/index.get').default;
  'GET /api/courses/:course/learners': typeof import('./api/courses/[course]/learners.get').default;
  'GET /api/courses/:course/learners/:learner': typeof import('./api/courses/[course]/learners/[learner].get').default;
  'GET /api/courses/:course/learners/:learner/files/:hash': typeof import('./api/courses/[course]/learners/[learner]/files/[hash].get').default;
  'GET /api/courses/:course/learners/:learner/hand-ins/:check': typeof import('./api/courses/[course]/learners/[learner]/hand-ins/[check].get').default;
  'GET /api/courses/:course/lessons/:lesson/history': typeof import('./api/courses/[course]/lessons/[lesson]/history.get').default;
  'GET /api/courses/:course/lessons/:lesson/page': typeof import('./api/courses/[course]/lessons/[lesson]/page.get').default;
  'GET /api/courses/:course/lessons/:lesson/points': typeof import('./api/courses/[course]/lessons/[lesson]/points.get').default;
  'GET /api/courses/:course/lessons/:lesson/reading': typeof import('./api/courses/[course]/lessons/[lesson]/reading.get').default;
  'GET /api/courses/:course/lessons/:lesson/unused': typeof import('./api/courses/[course]/lessons/[lesson]/unused.get').default;
  'GET /api/courses/:course/links': typeof import('./api/courses/[course]/links.get').default;
  'GET /api/courses/:course/media/:hash': typeof import('./api/courses/[course]/media/[hash].get').default;
  'GET /api/courses/:course/media/offers': typeof import('./api/courses/[course]/media/offers.get').default;
  'GET /api/courses/:course/media/pictures': typeof import('./api/courses/[course]/media/pictures.get').default;
  'GET /api/courses/:course/members': typeof import('./api/courses/[course]/members.get').default;
  'GET /api/courses/:course/modules/:module/offers': typeof import('./api/courses/[course]/modules/[module]/offers.get').default;
  'GET /api/courses/:course/offers': typeof import('./api/courses/[course]/offers.get').default;
  'GET /api/courses/:course/passages': typeof import('./api/courses/[course]/passages.get').default;
  'GET /api/courses/:course/questions': typeof import('./api/courses/[course]/questions.get').default;
  'GET /api/courses/:course/releases': typeof import('./api/courses/[course]/releases/index.get').default;
  'GET /api/courses/:course/releases/:release/package': typeof import('./api/courses/[course]/releases/[release]/package.get').default;
  'GET /api/courses/:course/rows/:row/takes': typeof import('./api/courses/[course]/rows/[row]/takes.get').default;
  'GET /api/courses/:course/script': typeof import('./api/courses/[course]/script.get').default;
  'GET /api/courses/:course/search': typeof import('./api/courses/[course]/search.get').default;
  'GET /api/courses/:course/sources': typeof import('./api/courses/[course]/sources/index.get').default;
  'GET /api/courses/:course/sources/:source': typeof import('./api/courses/[course]/sources/[source].get').default;
  'GET /api/courses/:course/sources/:source/pictures/:hash': typeof import('./api/courses/[course]/sources/[source]/pictures/[hash].get').default;
  'GET /api/courses/:course/sources/:source/versions': typeof import('./api/courses/[course]/sources/[source]/versions.get').default;
  'GET /api/courses/:course/stale': typeof import('./api/courses/[course]/stale.get').default;
  'GET /api/courses/:course/versions': typeof import('./api/courses/[course]/versions/index.get').default;
  'GET /api/courses/:course/versions/:version': typeof import('./api/courses/[course]/versions/[version]/index.get').default;
  'GET /api/embeds': typeof import('./api/embeds.get').default;
  'GET /api/health': typeof import('./api/health.get').default;
  'GET /api/invitations': typeof import('./api/invitations/index.get').default;
  'GET /api/lately': typeof import('./api/lately.get').default;
  'GET /api/learn/:link': typeof import('./api/learn/[link]/index.get').default;
  'GET /api/learn/:link/course': typeof import('./api/learn/[link]/course.get').default;
  'GET /api/learn/:link/files/:hash': typeof import('./api/learn/[link]/files/[hash].get').default;
  'GET /api/learn/:link/forms/:block': typeof import('./api/learn/[link]/forms/[block].get').default;
  'GET /api/learn/:link/media/:hash': typeof import('./api/learn/[link]/media/[hash].get').default;
  'GET /api/me/sessions': typeof import('./api/me/sessions/index.get').default;
  'GET /api/media': typeof import('./api/media/index.get').default;
  'GET /api/orphans': typeof import('./api/orphans/index.get').default;
  'GET /api/outbox': typeof import('./api/outbox/index.get').default;
  'GET /api/outbox/:letter': typeof import('./api/outbox/[letter].get').default;
  'GET /api/people': typeof import('./api/people.get').default;
  'GET /api/pool': typeof import('./api/pool.get').default;
  'GET /api/services': typeof import('./api/services/index.get').default;
  'GET /api/shelf': typeof import('./api/shelf/index.get').default;
  'GET /api/shelf/:source/people': typeof import('./api/shelf/[source]/people.get').default;
  'GET /api/shelf/search': typeof import('./api/shelf/search.get').default;
  'GET /api/start': typeof import('./api/start.get').default;
  'POST /api/archives': typeof import('./api/archives.post').default;
  'POST /api/bin/:removed': typeof import('./api/bin/[removed].post').default;
  'POST /api/courses': typeof import('./api/courses/index.post').default;
  'POST /api/courses/:course/answers': typeof import('./api/courses/[course]/answers.post').default;
  'POST /api/courses/:course/copy': typeof import('./api/courses/[course]/copy.post').default;
  'POST /api/courses/:course/jobs': typeof import('./api/courses/[course]/jobs/index.post').default;
  'POST /api/courses/:course/jobs/:job': typeof import('./api/courses/[course]/jobs/[job].post').default;
  'POST /api/courses/:course/learners/:learner/grants': typeof import('./api/courses/[course]/learners/[learner]/grants.post').default;
  'POST /api/courses/:course/learners/:learner/marks': typeof import('./api/courses/[course]/learners/[learner]/marks.post').default;
  'POST /api/courses/:course/lessons/:lesson/pulled': typeof import('./api/courses/[course]/lessons/[lesson]/pulled.post').default;
  'POST /api/courses/:course/lessons/:lesson/rewrite': typeof import('./api/courses/[course]/lessons/[lesson]/rewrite.post').default;
  'POST /api/courses/:course/links': typeof import('./api/courses/[course]/links.post').default;
  'POST /api/courses/:course/media': typeof import('./api/courses/[course]/media/index.post').default;
  'POST /api/courses/:course/media/fetched': typeof import('./api/courses/[course]/media/fetched.post').default;
  'POST /api/courses/:course/media/pictures': typeof import('./api/courses/[course]/media/pictures.post').default;
  'POST /api/courses/:course/media/shared': typeof import('./api/courses/[course]/media/shared.post').default;
  'POST /api/courses/:course/operations': typeof import('./api/courses/[course]/operations.post').default;
  'POST /api/courses/:course/outline': typeof import('./api/courses/[course]/outline.post').default;
  'POST /api/courses/:course/outline/own': typeof import('./api/courses/[course]/outline/own.post').default;
  'POST /api/courses/:course/questions': typeof import('./api/courses/[course]/questions.post').default;
  'POST /api/courses/:course/redo': typeof import('./api/courses/[course]/redo.post').default;
  'POST /api/courses/:course/releases': typeof import('./api/courses/[course]/releases/index.post').default;
  'POST /api/courses/:course/shelf': typeof import('./api/courses/[course]/shelf.post').default;
  'POST /api/courses/:course/sources': typeof import('./api/courses/[course]/sources/index.post').default;
  'POST /api/courses/:course/sources/:source/again': typeof import('./api/courses/[course]/sources/[source]/again.post').default;
  'POST /api/courses/:course/topics': typeof import('./api/courses/[course]/topics.post').default;
  'POST /api/courses/:course/undo': typeof import('./api/courses/[course]/undo.post').default;
  'POST /api/courses/:course/versions': typeof import('./api/courses/[course]/versions/index.post').default;
  'POST /api/courses/:course/versions/:version/back': typeof import('./api/courses/[course]/versions/[version]/back.post').default;
  'POST /api/courses/:course/videos': typeof import('./api/courses/[course]/videos.post').default;
  'POST /api/first-owner': typeof import('./api/first-owner.post').default;
  'POST /api/invitations/:invitation': typeof import('./api/invitations/[invitation].post').default;
  'POST /api/learn/:link/begin': typeof import('./api/learn/[link]/begin.post').default;
  'POST /api/learn/:link/events': typeof import('./api/learn/[link]/events.post').default;
  'POST /api/learn/:link/files': typeof import('./api/learn/[link]/files/index.post').default;
  'POST /api/learn/:link/forms/:block': typeof import('./api/learn/[link]/forms/[block].post').default;
  'POST /api/learn/:link/leave': typeof import('./api/learn/[link]/leave.post').default;
  'POST /api/learn/:link/return': typeof import('./api/learn/[link]/return.post').default;
  'POST /api/orphans/:orphan': typeof import('./api/orphans/[orphan].post').default;
  'POST /api/people': typeof import('./api/people.post').default;
  'POST /api/people/:person/letter': typeof import('./api/people/[person]/letter.post').default;
  'POST /api/sign-in': typeof import('./api/sign-in.post').default;
  'POST /api/sign-in-as': typeof import('./api/sign-in-as.post').default;
  'POST /api/sign-out': typeof import('./api/sign-out.post').default;
  'POST /api/welcome': typeof import('./api/welcome/index.post').default;
  'POST /api/welcome/look': typeof import('./api/welcome/look.post').default;
  'PUT /api/courses/:course/members': typeof import('./api/courses/[course]/members.put').default;
  'PUT /api/courses/:course/releases/:release': typeof import('./api/courses/[course]/releases/[release]/index.put').default;
  'PUT /api/courses/:course/sources': typeof import('./api/courses/[course]/sources/index.put').default;
  'PUT /api/courses/:course/sources/:source': typeof import('./api/courses/[course]/sources/[source].put').default;
  'PUT /api/courses/:course/sources/:source/version': typeof import('./api/courses/[course]/sources/[source]/version.put').default;
  'PUT /api/embeds': typeof import('./api/embeds.put').default;
  'PUT /api/me/password': typeof import('./api/me/password.put').default;
  'PUT /api/people/:person': typeof import('./api/people/[person].put').default;
  'PUT /api/services': typeof import('./api/services/index.put').default;
  'PUT /api/shelf/:source': typeof import('./api/shelf/[source].put').default;
  'PUT /api/shelf/:source/people': typeof import('./api/shelf/[source]/people.put').default;
}

/** Every route with the right it asks for. */
export const ROUTES: Readonly<Record<keyof Routes, Right>> = {
  'DELETE /api/courses/:course': 'author',
  'DELETE /api/courses/:course/forms/:block/sheets/:sheet': 'author',
  'DELETE /api/courses/:course/jobs/:job': 'author',
  'DELETE /api/courses/:course/learners/:learner': 'author',
  'DELETE /api/courses/:course/membership': 'reader',
  'DELETE /api/courses/:course/sources/:source': 'author',
  'DELETE /api/me/sessions': 'signed-in',
  'DELETE /api/me/sessions/:session': 'signed-in',
  'DELETE /api/people/:person': 'owner',
  'GET /api/audit': 'owner',
  'GET /api/bin': 'signed-in',
  'GET /api/courses': 'signed-in',
  'GET /api/courses/:course': 'reader',
  'GET /api/courses/:course/account': 'reader',
  'GET /api/courses/:course/answers': 'reader',
  'GET /api/courses/:course/archive': 'reader',
  'GET /api/courses/:course/brief': 'reader',
  'GET /api/courses/:course/changes': 'reader',
  'GET /api/courses/:course/checks/:check/answers': 'author',
  'GET /api/courses/:course/checks/:check/standing': 'author',
  'GET /api/courses/:course/checks/:check/ways': 'author',
  'GET /api/courses/:course/comparison': 'reader',
  'GET /api/courses/:course/contradictions': 'reader',
  'GET /api/courses/:course/deck': 'reader',
  'GET /api/courses/:course/events': 'reader',
  'GET /api/courses/:course/figures': 'reader',
  'GET /api/courses/:course/forms': 'marker',
  'GET /api/courses/:course/forms/:block': 'marker',
  'GET /api/courses/:course/forms/:block/table': 'marker',
  'GET /api/courses/:course/hand-ins': 'marker',
  'GET /api/courses/:course/hand-ins/together': 'marker',
  'GET /api/courses/:course/jobs': 'reader',
  'GET /api/courses/:course/learners': 'marker',
  'GET /api/courses/:course/learners/:learner': 'marker',
  'GET /api/courses/:course/learners/:learner/files/:hash': 'marker',
  'GET /api/courses/:course/learners/:learner/hand-ins/:check': 'marker',
  'GET /api/courses/:course/lessons/:lesson/history': 'reader',
  'GET /api/courses/:course/lessons/:lesson/page': 'reader',
  'GET /api/courses/:course/lessons/:lesson/points': 'reader',
  'GET /api/courses/:course/lessons/:lesson/reading': 'reader',
  'GET /api/courses/:course/lessons/:lesson/unused': 'reader',
  'GET /api/courses/:course/links': 'author',
  'GET /api/courses/:course/media/:hash': 'reader',
  'GET /api/courses/:course/media/offers': 'reader',
  'GET /api/courses/:course/media/pictures': 'reader',
  'GET /api/courses/:course/members': 'author',
  'GET /api/courses/:course/modules/:module/offers': 'author',
  'GET /api/courses/:course/offers': 'author',
  'GET /api/courses/:course/passages': 'reader',
  'GET /api/courses/:course/questions': 'author',
  'GET /api/courses/:course/releases': 'reader',
  'GET /api/courses/:course/releases/:release/package': 'author',
  'GET /api/courses/:course/rows/:row/takes': 'author',
  'GET /api/courses/:course/script': 'reader',
  'GET /api/courses/:course/search': 'reader',
  'GET /api/courses/:course/sources': 'reader',
  'GET /api/courses/:course/sources/:source': 'reader',
  'GET /api/courses/:course/sources/:source/pictures/:hash': 'reader',
  'GET /api/courses/:course/sources/:source/versions': 'reader',
  'GET /api/courses/:course/stale': 'reader',
  'GET /api/courses/:course/versions': 'reader',
  'GET /api/courses/:course/versions/:version': 'reader',
  'GET /api/embeds': 'signed-in',
  'GET /api/health': 'anyone',
  'GET /api/invitations': 'signed-in',
  'GET /api/lately': 'signed-in',
  'GET /api/learn/:link': 'anyone',
  'GET /api/learn/:link/course': 'anyone',
  'GET /api/learn/:link/files/:hash': 'anyone',
  'GET /api/learn/:link/forms/:block': 'anyone',
  'GET /api/learn/:link/media/:hash': 'anyone',
  'GET /api/me/sessions': 'signed-in',
  'GET /api/media': 'signed-in',
  'GET /api/orphans': 'owner',
  'GET /api/outbox': 'owner',
  'GET /api/outbox/:letter': 'owner',
  'GET /api/people': 'owner',
  'GET /api/pool': 'signed-in',
  'GET /api/services': 'owner',
  'GET /api/shelf': 'signed-in',
  'GET /api/shelf/:source/people': 'signed-in',
  'GET /api/shelf/search': 'signed-in',
  'GET /api/start': 'anyone',
  'POST /api/archives': 'signed-in',
  'POST /api/bin/:removed': 'signed-in',
  'POST /api/courses': 'signed-in',
  'POST /api/courses/:course/answers': 'author',
  'POST /api/courses/:course/copy': 'author',
  'POST /api/courses/:course/jobs': 'author',
  'POST /api/courses/:course/jobs/:job': 'author',
  'POST /api/courses/:course/learners/:learner/grants': 'author',
  'POST /api/courses/:course/learners/:learner/marks': 'marker',
  'POST /api/courses/:course/lessons/:lesson/pulled': 'reader',
  'POST /api/courses/:course/lessons/:lesson/rewrite': 'reader',
  'POST /api/courses/:course/links': 'author',
  'POST /api/courses/:course/media': 'author',
  'POST /api/courses/:course/media/fetched': 'author',
  'POST /api/courses/:course/media/pictures': 'author',
  'POST /api/courses/:course/media/shared': 'author',
  'POST /api/courses/:course/operations': 'author',
  'POST /api/courses/:course/outline': 'author',
  'POST /api/courses/:course/outline/own': 'author',
  'POST /api/courses/:course/questions': 'author',
  'POST /api/courses/:course/redo': 'author',
  'POST /api/courses/:course/releases': 'author',
  'POST /api/courses/:course/shelf': 'author',
  'POST /api/courses/:course/sources': 'author',
  'POST /api/courses/:course/sources/:source/again': 'author',
  'POST /api/courses/:course/topics': 'reader',
  'POST /api/courses/:course/undo': 'author',
  'POST /api/courses/:course/versions': 'author',
  'POST /api/courses/:course/versions/:version/back': 'author',
  'POST /api/courses/:course/videos': 'author',
  'POST /api/first-owner': 'anyone',
  'POST /api/invitations/:invitation': 'signed-in',
  'POST /api/learn/:link/begin': 'anyone',
  'POST /api/learn/:link/events': 'anyone',
  'POST /api/learn/:link/files': 'anyone',
  'POST /api/learn/:link/forms/:block': 'anyone',
  'POST /api/learn/:link/leave': 'anyone',
  'POST /api/learn/:link/return': 'anyone',
  'POST /api/orphans/:orphan': 'owner',
  'POST /api/people': 'owner',
  'POST /api/people/:person/letter': 'owner',
  'POST /api/sign-in': 'anyone',
  'POST /api/sign-in-as': 'anyone',
  'POST /api/sign-out': 'signed-in',
  'POST /api/welcome': 'anyone',
  'POST /api/welcome/look': 'anyone',
  'PUT /api/courses/:course/members': 'author',
  'PUT /api/courses/:course/releases/:release': 'author',
  'PUT /api/courses/:course/sources': 'author',
  'PUT /api/courses/:course/sources/:source': 'author',
  'PUT /api/courses/:course/sources/:source/version': 'author',
  'PUT /api/embeds': 'owner',
  'PUT /api/me/password': 'signed-in',
  'PUT /api/people/:person': 'owner',
  'PUT /api/services': 'owner',
  'PUT /api/shelf/:source': 'signed-in',
  'PUT /api/shelf/:source/people': 'signed-in',
};
