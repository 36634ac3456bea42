import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import type { CodeBody } from './form';

export const code: BlockPage<CodeBody> = (body, view, evidence) =>
  view.cited(`<pre tabindex="0">${escape(body.code)}</pre>`, evidence);
