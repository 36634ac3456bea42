import type { Words } from './words';

export const en: Words = {
  begin: 'Begin', goOn: 'Go on', yourName: 'Your name', nameWhy: 'The author of the course sees it beside your progress.', closed: 'This course is not available at the moment. What you did is kept.', signIn: 'Sign in to begin',
  lessons: 'Lessons', hideLessons: 'Hide the lessons', toText: 'Skip to the lesson', path: '{done} of {of} lessons done', minutes: '{minutes} min', minutesOf: '{done} of {of} min', lessonsOf: '{of} lessons', checksIn: '{of} checks',
  lessonPlace: '{module}, lesson {at} of {of}, {minutes} min', afterwards: 'Afterwards you can', done: 'done', here: 'you are here', shut: 'opens when the lesson before is done',
  next: 'Done, next lesson', finish: 'Done', back: 'Lesson before', check: 'Check', answer: 'Check my answer', again: 'Try again', checking: 'Checking', yourAnswer: 'your answer', rightAnswer: 'right',
  right: 'That is right.', wrong: 'That is not right.', triesLeft: 'Tries left: {left}', says: 'The source says:',
  feedback: { 'other-case': 'This holds in another case:', 'other-term': 'That is something else:', 'other-figure': 'That figure is not the one asked for.', 'not-said': 'The source does not say so.' },
  kept: 'Your answer is kept and will be checked when the connection is back.', lost: 'No connection. What you do is kept here and sent when it is back.',
  left: { read: 'not read to its end', answer: 'checks to answer', pass: 'more right answers needed' }, firstThese: 'Still to do here: {left}. The next lesson opens then.',
  stillHere: 'Still to do here: {left}. Press again to go on all the same.',
  endTitle: 'The end of the path', endDone: 'You have completed this course.', endLeft: 'Not everything is done yet.', score: '{right} of {of} checks right ({share} %)', notPassed: '{share} % are needed.', stillOpen: 'Still open',
  withdrawn: 'The author has withdrawn this course. What you did is kept, and you can go on if it is made available again.', placeOf: 'This address is the place of {name} in this course.', goOnAs: 'Go on as {name}', notMe: 'No, I am somebody else', leave: 'Leave this place', leaveWhy: 'On this device only. What you did is kept; this address leads back to it.', somebody: 'Somebody',
  elsewhere: 'Go on elsewhere', elsewhereWhy: 'Open this address on another device to go on there. Keep it to yourself: it is your place in the course.', copied: 'Copied',
  callout: { note: 'Note', tip: 'Tip', warning: 'Warning', example: 'Example', experience: 'From experience' }, summary: 'To take along',
  ruleLesson: { read: 'A lesson is done when you have read it.', answered: 'A lesson is done when you have read it and answered its checks.', passed: 'A lesson is done when you have read it and {share} % of its checks are right.' },
  ruleCourse: { lessons: 'The course is completed when all lessons are done.', passed: 'The course is completed when all lessons are done and {share} % of all checks are right.' },
  ruleForced: 'Lessons open one after another.', ruleTries: 'Tries at each check: {tries}.', size: 'Size', rules: 'How it counts', trouble: 'Something went wrong. Nothing you did is lost; load the page again.', oneMinute: '1 min',
};
