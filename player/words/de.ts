import type { Words } from './words';

export const de: Words = {
  begin: 'Beginnen', goOn: 'Weiter', yourName: 'Ihr Name', nameWhy: 'Wer den Kurs erstellt hat, sieht ihn neben Ihrem Fortschritt.', closed: 'Dieser Kurs ist zurzeit nicht verfügbar. Was Sie getan haben, bleibt erhalten.', signIn: 'Zum Beginnen anmelden',
  lessons: 'Lektionen', hideLessons: 'Lektionen ausblenden', toText: 'Zur Lektion', path: '{done} von {of} Lektionen erledigt', minutes: '{minutes} Min.', minutesOf: '{done} von {of} Min.', lessonsOf: '{of} Lektionen', checksIn: '{of} Fragen',
  lessonPlace: '{module}, Lektion {at} von {of}, {minutes} Min.', afterwards: 'Danach können Sie', done: 'erledigt', here: 'hier sind Sie', shut: 'öffnet sich, wenn die Lektion davor erledigt ist',
  next: 'Erledigt, nächste Lektion', finish: 'Erledigt', back: 'Lektion davor', check: 'Frage', answer: 'Antwort prüfen', again: 'Noch einmal', checking: 'Wird geprüft', yourAnswer: 'Ihre Antwort', rightAnswer: 'richtig',
  right: 'Das ist richtig.', wrong: 'Das ist nicht richtig.', triesLeft: 'Versuche übrig: {left}', says: 'In der Quelle steht:',
  feedback: { 'other-case': 'Das gilt in einem anderen Fall:', 'other-term': 'Das ist etwas anderes:', 'other-figure': 'Nach dieser Zahl war nicht gefragt.', 'not-said': 'Das steht nicht in der Quelle.' },
  kept: 'Ihre Antwort ist gesichert und wird geprüft, sobald die Verbindung wieder steht.', lost: 'Keine Verbindung. Was Sie tun, wird hier aufbewahrt und später gesendet.',
  left: { read: 'noch nicht zu Ende gelesen', answer: 'Fragen zu beantworten', pass: 'mehr richtige Antworten nötig' }, firstThese: 'Hier fehlt noch: {left}. Dann öffnet sich die nächste Lektion.',
  stillHere: 'Hier fehlt noch: {left}. Drücken Sie noch einmal, um trotzdem weiterzugehen.',
  endTitle: 'Ende des Weges', endDone: 'Sie haben diesen Kurs abgeschlossen.', endLeft: 'Es ist noch nicht alles erledigt.', score: '{right} von {of} Fragen richtig ({share} %)', notPassed: '{share} % sind nötig.', stillOpen: 'Noch offen',
  withdrawn: 'Der Kurs wurde von seiner Autorin oder seinem Autor zurückgezogen. Was Sie getan haben, bleibt erhalten; Sie können weitermachen, wenn er wieder angeboten wird.', placeOf: 'Diese Adresse ist der Platz von {name} in diesem Kurs.', goOnAs: 'Als {name} weitermachen', notMe: 'Nein, ich bin jemand anderes', leave: 'Diesen Platz verlassen', leaveWhy: 'Nur auf diesem Gerät. Was Sie getan haben, bleibt erhalten; diese Adresse führt dorthin zurück.', somebody: 'jemand',
  elsewhere: 'Anderswo weitermachen', elsewhereWhy: 'Öffnen Sie diese Adresse auf einem anderen Gerät, um dort weiterzumachen. Behalten Sie sie für sich: Sie ist Ihr Platz im Kurs.', copied: 'Kopiert',
  callout: { note: 'Hinweis', tip: 'Tipp', warning: 'Warnung', example: 'Beispiel', experience: 'Aus Erfahrung' }, summary: 'Zum Mitnehmen',
  ruleLesson: { read: 'Eine Lektion ist erledigt, wenn Sie sie gelesen haben.', answered: 'Eine Lektion ist erledigt, wenn Sie sie gelesen und ihre Fragen beantwortet haben.', passed: 'Eine Lektion ist erledigt, wenn Sie sie gelesen haben und {share} % ihrer Fragen richtig sind.' },
  ruleCourse: { lessons: 'Der Kurs ist abgeschlossen, wenn alle Lektionen erledigt sind.', passed: 'Der Kurs ist abgeschlossen, wenn alle Lektionen erledigt und {share} % aller Fragen richtig sind.' },
  ruleForced: 'Die Lektionen öffnen sich eine nach der anderen.', ruleTries: 'Versuche je Frage: {tries}.', size: 'Umfang', rules: 'Wie gezählt wird', trouble: 'Etwas ist schiefgegangen. Nichts ist verloren; laden Sie die Seite neu.', oneMinute: '1 Min.',
};
