import type { Words } from './words';

export const es: Words = {
  begin: 'Empezar', goOn: 'Continuar', yourName: 'Su nombre', nameWhy: 'Quien creó el curso lo ve junto a su progreso.', closed: 'Este curso no está disponible por ahora. Lo que hizo se conserva.', signIn: 'Iniciar sesión para empezar',
  lessons: 'Lecciones', hideLessons: 'Ocultar las lecciones', toText: 'Ir a la lección', path: '{done} de {of} lecciones hechas', minutes: '{minutes} min', minutesOf: '{done} de {of} min', lessonsOf: '{of} lecciones', checksIn: '{of} preguntas',
  lessonPlace: '{module}, lección {at} de {of}, {minutes} min', afterwards: 'Después usted podrá', done: 'hecha', here: 'está aquí', shut: 'se abre cuando la lección anterior está hecha',
  next: 'Hecho, lección siguiente', finish: 'Hecho', back: 'Lección anterior', check: 'Pregunta', answer: 'Comprobar mi respuesta', again: 'Intentar otra vez', checking: 'Comprobando', yourAnswer: 'su respuesta', rightAnswer: 'correcta',
  right: 'Es correcto.', wrong: 'No es correcto.', triesLeft: 'Intentos restantes: {left}', says: 'La fuente dice:',
  feedback: { 'other-case': 'Esto vale en otro caso:', 'other-term': 'Eso es otra cosa:', 'other-figure': 'Esa no es la cifra que se pide.', 'not-said': 'La fuente no lo dice.' },
  kept: 'Su respuesta está guardada y se comprobará cuando vuelva la conexión.', lost: 'Sin conexión. Lo que haga se guarda aquí y se envía cuando vuelva.',
  left: { read: 'sin leer hasta el final', answer: 'preguntas por responder', pass: 'faltan respuestas correctas' }, firstThese: 'Falta aquí: {left}. Después se abre la lección siguiente.',
  stillHere: 'Falta aquí: {left}. Pulse otra vez para continuar de todos modos.',
  endTitle: 'Fin del camino', endDone: 'Ha completado este curso.', endLeft: 'Todavía no está todo hecho.', score: '{right} de {of} preguntas correctas ({share} %)', notPassed: 'Hace falta el {share} %.', stillOpen: 'Pendiente',
  withdrawn: 'El autor ha retirado este curso. Lo que ha hecho se conserva, y podrá seguir si vuelve a estar disponible.', placeOf: 'Esta dirección es el lugar de {name} en este curso.', goOnAs: 'Seguir como {name}', notMe: 'No, soy otra persona', leave: 'Dejar este lugar', leaveWhy: 'Solo en este dispositivo. Lo que ha hecho se conserva; esta dirección lleva de vuelta.', somebody: 'alguien',
  elsewhere: 'Continuar en otro lugar', elsewhereWhy: 'Abra esta dirección en otro dispositivo para continuar allí. Guárdela para usted: es su lugar en el curso.', copied: 'Copiado',
  callout: { note: 'Nota', tip: 'Consejo', warning: 'Atención', example: 'Ejemplo', experience: 'De la experiencia' }, summary: 'Para recordar',
  ruleLesson: { read: 'Una lección está hecha cuando la ha leído.', answered: 'Una lección está hecha cuando la ha leído y ha respondido a sus preguntas.', passed: 'Una lección está hecha cuando la ha leído y el {share} % de sus preguntas es correcto.' },
  ruleCourse: { lessons: 'El curso está completo cuando todas las lecciones están hechas.', passed: 'El curso está completo cuando todas las lecciones están hechas y el {share} % de todas las preguntas es correcto.' },
  ruleForced: 'Las lecciones se abren una tras otra.', ruleTries: 'Intentos por pregunta: {tries}.', size: 'Extensión', rules: 'Cómo cuenta', trouble: 'Algo salió mal. No se ha perdido nada; vuelva a cargar la página.', oneMinute: '1 min',
};
