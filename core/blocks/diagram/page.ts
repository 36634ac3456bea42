import { escape } from '../../document/html';
import type { BlockPage } from '../page';
import { passed, type DiagramBody } from './form';

export const diagram: BlockPage<DiagramBody> = (body, view, evidence) => {
  const said = (text?: string) => (text ? `<span>${escape(text)}</span>` : '');
  const rows =
    body.form === 'roles'
      ? passed(body).map(({ from, to, label }) => `<li><b>${escape(from)}</b>${said(label)}<b>${escape(to)}</b></li>`)
      : body.parts.map(({ label, text }) => `<li><b>${escape(label)}</b>${said(text)}</li>`);
  const title = body.title ? `<figcaption>${escape(body.title)}</figcaption>` : '';
  return view.cited(`<figure class="up-diagram up-${body.form}">${title}<ol>${rows.join('')}</ol></figure>`, evidence);
};
