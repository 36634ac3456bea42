import { anyOf } from './phrases';

const EMERGENCY_WORDS = anyOf`
  emergenc(?:y|ies) | life-threatening | ambulance | fire (?:brigade|service|department) | evacuat\w*
  unconscious | first[- ]aid | choking | anaphyla\w* | electric shock | call (?:999|112|911|15|18)
  notfall\w* | notruf\w* | lebensgefährlich\w* | feuerwehr | rettungsdienst | notarzt | bewusstlos\w* | erste hilfe
  urgence(?: vitale)? | secours | pompiers | évacu\w* | inconscient\w* | premiers soins
  emergencias? | ambulancia | bomberos | evacu\w* | inconsciente | primeros auxilios
`;

/**
 * Words of danger to life, in the languages we read: whatever else is left out of a text, sentences with these are not.
 * Looked for in small letters: an expression that ignores case costs several times as much, and this one is asked of
 * every sentence.
 */
const EMERGENCY = new RegExp(String.raw`(?<![\wà-ÿ])${EMERGENCY_WORDS}(?![\wà-ÿ])`);

/** Whether a sentence speaks of an emergency. */
export const speaksOfEmergency = (text: string): boolean => EMERGENCY.test(text.toLowerCase());
