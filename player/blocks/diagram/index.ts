import { h } from 'vue';
import { passed, type DiagramBody } from '../../../core/blocks/diagram/form';
import type { BlockPart } from '../part';

/** Drawn by its styles alone: for who hears the page it is a list with a title. */
export const diagram: BlockPart<DiagramBody> = (body) => {
  const said = (text?: string) => (text ? [h('span', text)] : []);
  const rows =
    body.form === 'roles'
      ? passed(body).map(({ id, from, to, label }) => h('li', { key: id }, [h('b', from), ...said(label), h('b', to)]))
      : body.parts.map(({ id, label, text }) => h('li', { key: id }, [h('b', label), ...said(text)]));
  return h('figure', { class: ['up-diagram', `up-${body.form}`] }, [
    ...(body.title ? [h('figcaption', body.title)] : []),
    h('ol', rows),
  ]);
};
