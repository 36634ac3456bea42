import type { Words } from './words';

export const fr: Words = {
  begin: 'Commencer', goOn: 'Continuer', yourName: 'Votre nom', nameWhy: 'L’auteur du cours le voit à côté de votre progression.', closed: 'Ce cours n’est pas disponible pour le moment. Ce que vous avez fait est conservé.', signIn: 'Se connecter pour commencer',
  lessons: 'Leçons', hideLessons: 'Masquer les leçons', toText: 'Aller à la leçon', path: '{done} leçons sur {of} terminées', minutes: '{minutes} min', minutesOf: '{done} min sur {of}', lessonsOf: '{of} leçons', checksIn: '{of} questions',
  lessonPlace: '{module}, leçon {at} sur {of}, {minutes} min', afterwards: 'Ensuite, vous saurez', done: 'terminée', here: 'vous êtes ici', shut: 's’ouvre quand la leçon précédente est terminée',
  next: 'Terminé, leçon suivante', finish: 'Terminé', back: 'Leçon précédente', check: 'Question', answer: 'Vérifier ma réponse', again: 'Réessayer', checking: 'Vérification', yourAnswer: 'votre réponse', rightAnswer: 'juste',
  right: 'C’est juste.', wrong: 'Ce n’est pas juste.', triesLeft: 'Essais restants : {left}', says: 'La source dit :',
  feedback: { 'other-case': 'Cela vaut dans un autre cas :', 'other-term': 'C’est autre chose :', 'other-figure': 'Ce n’est pas le chiffre demandé.', 'not-said': 'La source ne le dit pas.' },
  kept: 'Votre réponse est conservée et sera vérifiée au retour de la connexion.', lost: 'Pas de connexion. Ce que vous faites est conservé ici et envoyé à son retour.',
  left: { read: 'pas encore lue jusqu’au bout', answer: 'questions à répondre', pass: 'davantage de réponses justes requises' }, firstThese: 'Reste à faire ici : {left}. La leçon suivante s’ouvrira ensuite.',
  stillHere: 'Reste à faire ici : {left}. Appuyez de nouveau pour continuer malgré tout.',
  endTitle: 'Fin du parcours', endDone: 'Vous avez terminé ce cours.', endLeft: 'Tout n’est pas encore fait.', score: '{right} questions justes sur {of} ({share} %)', notPassed: '{share} % sont requis.', stillOpen: 'À faire encore',
  withdrawn: 'L’auteur a retiré ce cours. Ce que vous avez fait est conservé, et vous pourrez continuer s’il est proposé de nouveau.', placeOf: 'Cette adresse est la place de {name} dans ce cours.', goOnAs: 'Continuer en tant que {name}', notMe: 'Non, je suis quelqu’un d’autre', leave: 'Quitter cette place', leaveWhy: 'Sur cet appareil seulement. Ce que vous avez fait est conservé ; cette adresse y ramène.', somebody: 'quelqu’un',
  elsewhere: 'Continuer ailleurs', elsewhereWhy: 'Ouvrez cette adresse sur un autre appareil pour y continuer. Gardez-la pour vous : c’est votre place dans le cours.', copied: 'Copié',
  callout: { note: 'Remarque', tip: 'Conseil', warning: 'Attention', example: 'Exemple', experience: 'D’expérience' }, summary: 'À retenir',
  ruleLesson: { read: 'Une leçon est terminée quand vous l’avez lue.', answered: 'Une leçon est terminée quand vous l’avez lue et avez répondu à ses questions.', passed: 'Une leçon est terminée quand vous l’avez lue et que {share} % de ses questions sont justes.' },
  ruleCourse: { lessons: 'Le cours est terminé quand toutes les leçons le sont.', passed: 'Le cours est terminé quand toutes les leçons le sont et que {share} % de toutes les questions sont justes.' },
  ruleForced: 'Les leçons s’ouvrent l’une après l’autre.', ruleTries: 'Essais par question : {tries}.', size: 'Étendue', rules: 'Ce qui compte', trouble: 'Un problème est survenu. Rien n’est perdu ; rechargez la page.', oneMinute: '1 min',
};
