import { h, type FunctionalComponent, type VNode, type VNodeChild } from 'vue';
import type { Block, BlockBodies, BlockKindName } from '../../core/course/blocks';
import type { RichText } from '../../core/course/rich-text';
import type { Words } from '../words';
import { Rich } from './Rich';

type ShownKind = Exclude<BlockKindName, 'check'>;
const rich = (text: RichText) => h(Rich, { text });

/** How each kind of block is shown to a learner; a check is a part of the page with a life of its own. */
const SHOWN: { [Kind in ShownKind]: (body: BlockBodies[Kind], words: Words) => VNode } = {
  heading: (body) => h(`h${body.level}`, [rich(body.text)]),
  text: (body) => h('p', [rich(body.text)]),
  list: (body) => nested(body.items, body.ordered ? 'ol' : 'ul'),
  steps: (body) => h('ol', { class: 'up-steps' }, body.steps.map((step) => h('li', [rich(step.text), ...(step.detail ?? []).map((detail) => h('div', { class: 'up-detail' }, [rich(detail)]))]))),
  callout: (body, words) => h('div', { class: ['up-callout', `up-${body.tone}`], role: 'note' }, [h('p', { class: 'up-label' }, words.callout[body.tone]), ...body.paragraphs.map((text) => h('p', [rich(text)]))]),
  summary: (body, words) => h('div', { class: 'up-summary' }, [h('p', { class: 'up-label' }, words.summary), h('ul', body.points.map((point) => h('li', [rich(point)])))]),
  terms: (body) => h('dl', { class: 'up-terms' }, body.terms.map((entry) => h('div', [h('dt', entry.term), h('dd', [rich(entry.text)])]))),
  table: (body) => h('div', { class: 'up-wide', tabindex: 0, role: 'group' }, [h('table', [
    ...(body.header.length > 0 ? [h('thead', [h('tr', body.header.map((cell) => h('th', { scope: 'col' }, [rich(cell)])))])] : []),
    h('tbody', body.rows.map((row) => h('tr', row.map((cell) => h('td', [rich(cell)]))))),
  ])]),
  code: (body) => h('pre', { tabindex: 0 }, body.code),
};

/** One block of a page. */
export const BlockView: FunctionalComponent<{ block: Block; words: Words }> = ({ block, words }) => (block.kind === 'check' ? null : (SHOWN[block.kind] as (body: unknown, words: Words) => VNode)(block.body, words));
BlockView.props = ['block', 'words'];

/** Items with depths as lists in lists. */
function nested(items: readonly { depth: number; text: RichText }[], tag: 'ol' | 'ul'): VNode {
  const level = (at: number, depth: number): [VNode, number] => {
    const children: VNodeChild[] = [];
    while (at < items.length && items[at].depth >= depth) {
      const own: VNodeChild[] = [rich(items[at].text)];
      at++;
      if (at < items.length && items[at].depth > depth) {
        const [inner, next] = level(at, depth + 1);
        own.push(inner);
        at = next;
      }
      children.push(h('li', own));
    }
    return [h(tag, children), at];
  };
  return level(0, 0)[0];
}
