import type { NoiseDetector } from '../noise';
import { anyOf } from '../phrases';

/** Words of German, French and Spanish by which a sentence is known to be noise; what is not surely noise is kept. */
interface NoiseWords {
  /** Sends elsewhere, with a part of a document that it names. */
  sends: RegExp;
  /** A condition makes a pointer an instruction. */
  condition: RegExp;
  thanks: RegExp;
  data: RegExp;
  hello: RegExp;
  hall: RegExp;
  polite: RegExp;
}

const GERMAN_SENDERS = anyOf`
  siehe | vgl\. | vergleiche | lesen sie | (?:steht|stehen|finden sie|findet sich|finden sich)\b
`;
const GERMAN_PLACES = anyOf`
  abschnitt | kapitel | anhang | abbildung | tabelle | seite | handbuch | anleitung | richtlinie | dokument
  webseite | website | internetseite | oben | unten
`;
const FRENCH_MORE = anyOf`
  pour (?:plus|en savoir) | plus de | les détails | des informations
`;
const FRENCH_SENDERS = anyOf`
  se trouve | se trouvent | figure | figurent | est décrit\w* | sont décrit\w*
`;
const FRENCH_PLACES = anyOf`
  section | chapitre | annexe | figure | tableau | page | manuel | guide | document | site | ci-dessus
  ci-dessous
`;
const SPANISH_SENDERS = anyOf`
  se encuentra | se encuentran | está descrit\w* | se describe | figura | figuran
`;
const SPANISH_PLACES = anyOf`
  sección | capítulo | anexo | apéndice | figura | tabla | página | manual | guía | documento | sitio | arriba
  abajo
`;
const WORDS: Record<string, NoiseWords> = {
  de: {
    sends: new RegExp(
      String.raw`^(?:(?:näheres|mehr|weiteres|einzelheiten|details|informationen)\b[^.;]{0,60}?\s)?${GERMAN_SENDERS}[^.;]*\b${GERMAN_PLACES}\b[^.;]*[.]?$`,
      'iu',
    ),
    condition:
      /(?:^|\s)(?:wenn|falls|sobald|bevor|nachdem|muss|müssen|darf|dürfen|soll|sollen|nie|niemals|mindestens|höchstens)(?=\s)/iu,
    thanks: /^(?:(?:vielen|herzlichen|unseren?|besonderer) )?dank\b|^wir (?:danken|bedanken)\b/iu,
    data: /^(?:dokument|version|stand|ausgabe|revision|gültig ab|freigegeben|erstellt|geprüft|ersetzt|letzte änderung|nächste prüfung|verantwortlich für dieses dokument)\b/iu,
    hello:
      /^(?:(?:so|also|ja|äh)[,.]?\s+)*(?:hallo|guten (?:morgen|tag|abend)|herzlich willkommen|willkommen|grüß gott)(?=[\s,.!])|\bmein name ist\b/iu,
    hall: /\b(?:hört man mich|hören sie mich|nächste folie|auf der folie|mikrofon|die aufnahme|kamera|kaffeepause|mittagspause|noch fragen)\b/iu,
    polite:
      /^(?:(?:vielen |herzlichen )?dank(?:e(?: schön)?)?|bitte(?: schön)?|entschuldigung|gern geschehen)[.,!]*$/iu,
  },
  fr: {
    sends: new RegExp(
      String.raw`^(?:${FRENCH_MORE}\b[^.;]{0,60}?\s)?(?:voir|cf\.|consultez|reportez-vous|se reporter|${FRENCH_SENDERS}\b)[^.;]*${FRENCH_PLACES}[^.;]*[.]?$`,
      'iu',
    ),
    condition: /(?:^|\s)(?:si|s['’]il|quand|lorsque|avant|après|doit|doivent|devez|jamais|au moins|au plus)(?=\s)/iu,
    thanks: /^(?:(?:un grand |nos )?mercis?|remerciements)\b|^nous (?:remercions|tenons à remercier)\b/iu,
    data: /^(?:document|version|édition|révision|en vigueur|approuvé|rédigé|remplace|dernière (?:mise à jour|modification)|prochaine révision)(?=[\s:])/iu,
    hello: /^(?:(?:alors|bon|donc|euh)[,.]?\s+)*(?:bonjour|bonsoir|bienvenue|salut)(?=[\s,.!])|\bje m['’]appelle\b/iu,
    hall: /\b(?:vous m['’]entendez|diapositive suivante|le micro|l['’]enregistrement|la caméra|pause café|des questions)\b/iu,
    polite: /^(?:merci(?: beaucoup)?|s['’]il vous plaît|pardon|je vous en prie)[.,!]*$/iu,
  },
  es: {
    sends: new RegExp(
      String.raw`^(?:(?:para más|más|los detalles|la información)\b[^.;]{0,60}?\s)?(?:véase|vea|consulte|cf\.|${SPANISH_SENDERS}\b)[^.;]*${SPANISH_PLACES}[^.;]*[.]?$`,
      'iu',
    ),
    condition: /(?:^|\s)(?:si|cuando|antes|después|debe|deben|nunca|al menos|como máximo)(?=\s)/iu,
    thanks: /^(?:(?:muchas |nuestras )?gracias|agradecimientos)(?=[\s,.!])|^(?:agradecemos|queremos agradecer)\b/iu,
    data: /^(?:documento|versión|edición|revisión|vigente|aprobado|redactado|sustituye|última (?:actualización|modificación)|próxima revisión)(?=[\s:])/iu,
    hello:
      /^(?:(?:bueno|pues|entonces|eh)[,.]?\s+)*(?:hola|buenos días|buenas (?:tardes|noches)|bienvenid[oa]s?)(?=[\s,.!])|\bme llamo\b/iu,
    hall: /\b(?:me oyen|me oís|siguiente diapositiva|el micrófono|la grabación|la cámara|pausa para el café|alguna pregunta)\b/iu,
    polite: /^(?:(?:muchas )?gracias|por favor|perdón|de nada)[.,!]*$/iu,
  },
};
const LEGAL =
  /^copyright\b|©|\ball rights reserved\b|alle rechte vorbehalten|tous droits réservés|todos los derechos reservados|\bISBN\b/iu;
const wordsIn = (text: string): number => text.split(/\s+/).length;

/** The kinds of noise that a sentence of a language can be; none for a language without words for it. */
export function noiseFor(language: string): NoiseDetector[] {
  const words = WORDS[language.split('-')[0]];
  if (!words) return [];
  return [
    {
      noise: 'pointer',
      always: true,
      is: (text) => wordsIn(text) <= 28 && words.sends.test(text) && !words.condition.test(text),
    },
    { noise: 'thanks', always: false, is: (text, { spoken }) => !spoken && words.thanks.test(text) },
    {
      noise: 'history',
      always: true,
      is: (text, { edge }) => edge && wordsIn(text) <= 20 && words.data.test(text) && !words.condition.test(text),
    },
    { noise: 'legal', always: false, is: (text) => LEGAL.test(text) },
    { noise: 'greeting', always: true, is: (text, { spoken, edge }) => spoken && edge && words.hello.test(text) },
    { noise: 'stage', always: false, is: (text, { spoken }) => spoken && wordsIn(text) <= 20 && words.hall.test(text) },
    { noise: 'politeness', always: false, is: (text, { voice }) => voice && words.polite.test(text) },
  ];
}

const EXCEPTION_OPENERS = anyOf`
  ausnahmen? | außer | es sei denn | dies gilt nicht | das gilt nicht | exceptions? | sauf | à l['’]exception
  ceci ne s['’]applique pas | excepci[oó]n(?:es)? | excepto | salvo | esto no se aplica
`;
/** "Ausnahme: …", "Sauf …", "Excepto …". */
const OPENS_EXCEPTION = new RegExp(
  String.raw`^(?:(?:eine|die einzige|une|la seule|una|la única)\s+)?${EXCEPTION_OPENERS}(?=[\s:,]|$)`,
  'iu',
);
export const opensExceptionIn = (sentence: string): boolean => OPENS_EXCEPTION.test(sentence);
