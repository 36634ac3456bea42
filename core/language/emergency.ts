import { anyOf } from './phrases';

const EMERGENCY_WORDS = anyOf`
  emergenc(?:y|ies) | life-threatening | ambulance | fire (?:brigade|service|department) | evacuat\w*
  unconscious | first[- ]aid | choking | anaphyla\w* | electric shock | call (?:999|112|911|15|18)
`;

/**
 * Words of danger to life, in the languages we read: whatever else is left out of a text, sentences with these are not.
 */
const EMERGENCY = new RegExp(
  [
    String.raw`\b${EMERGENCY_WORDS}\b`,
    String.raw`\b(?:Notfall\w*|Notruf\w*|lebensgefährlich\w*|Feuerwehr|Rettungsdienst|Notarzt|bewusstlos\w*|Erste Hilfe)\b`,
    String.raw`\b(?:urgence(?: vitale)?|secours|pompiers|évacu\w*|inconscient\w*|premiers soins)\b`,
    String.raw`\b(?:emergencias?|ambulancia|bomberos|evacu\w*|inconsciente|primeros auxilios)\b`,
  ].join('|'),
  'iu',
);

/** Whether a sentence speaks of an emergency. */
export const speaksOfEmergency = (text: string): boolean => EMERGENCY.test(text);
