import { anyOf } from '../phrases';

const EXCEPTION_OPENERS = anyOf`
  (?:an|the|one|the only|a single|another)\s+exceptions?\b | (?:except|unless|excepted|exceptions?)\b
  there (?:is|are|['’]s) (?:one |an |two |some |no )?exceptions?\b | not (?:so|if|when|for|in|on)\b
  (?:this|that|it) does(?: not|n['’]t) (?:apply|hold|count)\b | this (?:is|applies) only\b
`;
const OPENS_EXCEPTION = new RegExp(
  String.raw`^(?:(?:but|and|however),?\s+)?${EXCEPTION_OPENERS}|\b(?:is|are) (?:an |the )?exceptions?\b|\bdoes(?: not|n['’]t) apply (?:to|if|when|for|in|on)\b`,
  'i',
);

/** Whether a sentence says where what stands before it does not hold. */
export const opensException = (sentence: string): boolean => OPENS_EXCEPTION.test(sentence);
