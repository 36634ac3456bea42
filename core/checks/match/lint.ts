import { sameTexts, type CheckLint } from '../lint';
import type { MatchCheck } from './form';

export const match: CheckLint<MatchCheck> = ({ pairs, others }, tools) =>
  [pairs.map(({ left }) => left), [...pairs.map(({ right }) => right), ...others.map(({ text }) => text)]].flatMap(
    (texts) => sameTexts(texts, tools).map(([, at]) => ({ code: 'alike' as const, at: [...pairs, ...others][at].id })),
  );
