import { anyOf } from '../phrases';

const WAS = new RegExp(
  `^(?:the )?${anyOf`before | old | until now | so far | earlier | previously | then | past | was | up to now | former`}\\b`,
  'i',
);
const IS = new RegExp(
  `^(?:the )?${anyOf`after | now | new | from now | afterwards | today | is | present | from then`}\\b`,
  'i',
);

/** Whether two heads tell how it was and how it is, in this order: "Until now" and "From now on". */
export const isChange = (before: string, after: string): boolean => WAS.test(before.trim()) && IS.test(after.trim());
