import type { BlockPage } from '../page';
import type { HeadingBody } from './form';

export const heading: BlockPage<HeadingBody> = (body, view) => {
  const level = body.level + 1;
  return `<h${level}>${view.rich(body.text)}</h${level}>`;
};
