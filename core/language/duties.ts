import { anyOf } from './phrases';

const DUTY_WORDS = anyOf`
  must | mustn['’]t | shall | should | shouldn['’]t | have to | has to | need(?:s)? to | ought to | required
  obliged | forbidden | prohibited | (?:not |un)allowed | not permitted | may (?:not|only|never) | cannot
  can['’]t | never | do not | don['’]t | does not | always | at once | immediately | make sure
`;

/**
 * Words of obligation and of prohibition, in the languages we read: what has them may be a rule that no pattern takes
 * apart.
 */
const DUTY = new RegExp(
  [
    String.raw`\b${DUTY_WORDS}\b`,
    String.raw`\b(?:muss|müssen|musst|darf|dürfen|soll(?:en|te|ten)?|verboten|untersagt|nicht (?:erlaubt|gestattet)|niemals|nie|immer|sofort|unverzüglich)\b`,
    String.raw`\b(?:doit|doivent|devez|il faut|interdit\w*|obligatoire\w*|jamais|toujours|immédiatement)\b`,
    String.raw`\b(?:debe|deben|deberá|hay que|prohibid\w*|obligatori\w*|nunca|siempre|inmediatamente)\b`,
  ].join('|'),
  'iu',
);

/** Whether words may lay down a duty or a prohibition. */
export const saysDuty = (text: string): boolean => DUTY.test(text);
