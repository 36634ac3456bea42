import { escape } from '../../document/html';
import { say } from '../../words';
import type { BlockPage } from '../page';
import { hostOf, type EmbedBody } from './form';

export const embed: BlockPage<EmbedBody> = ({ address, title, caption }, view) => {
  const words = say(view.words.embedOpen, { title, host: hostOf(address) });
  const under = caption.length > 0 ? `<figcaption>${view.rich(caption)}</figcaption>` : '';
  if (!address) return `<figure class="up-embed"><p class="up-links">${escape(title)}</p>${under}</figure>`;
  return (
    `<figure class="up-embed"><p class="up-links"><a href="${escape(address)}" target="_blank" ` +
    `rel="noopener noreferrer">${escape(words)}</a></p>${under}</figure>`
  );
};
