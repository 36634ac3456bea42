import { escape } from '../../document/html';
import { sizeWords } from '../../document/size';
import { creditHtml } from '../picture/page';
import type { BlockPage } from '../page';
import type { FilesBody } from './form';

/** The page is one file: it names what there is. */
export const files: BlockPage<FilesBody> = ({ files: given }, view) =>
  `<ul class="up-files">${given
    .map(
      ({ file, text }) =>
        `<li><p><b>${escape(file.name)}</b>${file.bytes === undefined ? '' : ` <small>${sizeWords(file.bytes)}</small>`}</p>${
          text ? `<p>${escape(text)}</p>` : ''
        }${creditHtml(file, view)}</li>`,
    )
    .join('')}</ul>`;
