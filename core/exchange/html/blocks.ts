import type { Block, BlockBodies, BlockKindName } from '../../course/blocks';
import type { PassageRange, RichText } from '../../course/rich-text';
import type { Labels } from '../../language/pack';
import { escape } from './escape';

/** How a page shows what blocks hold. */
export interface BlockView {
  rich(text: RichText): string;
  /** A block without rich text, with the passages it stands on. */
  cited(html: string, evidence: readonly PassageRange[]): string;
  check(checkId: string): string;
  labels: Labels;
}

type Renderers = { [Kind in BlockKindName]: (body: BlockBodies[Kind], view: BlockView, evidence: readonly PassageRange[]) => string };

const RENDERERS: Renderers = {
  heading: (body, view) => `<h${body.level + 1}>${view.rich(body.text)}</h${body.level + 1}>`,
  text: (body, view) => `<p>${view.rich(body.text)}</p>`,
  list: (body, view) => nested(body.items, body.ordered ? 'ol' : 'ul', view),
  table: (body, view) => {
    const head = body.header.length > 0 ? `<thead><tr>${body.header.map((cell) => `<th scope="col">${view.rich(cell)}</th>`).join('')}</tr></thead>` : '';
    return `<div class="wide" tabindex="0" role="group"><table>${head}<tbody>${body.rows.map((row) => `<tr>${row.map((cell) => `<td>${view.rich(cell)}</td>`).join('')}</tr>`).join('')}</tbody></table></div>`;
  },
  steps: (body, view) =>
    `<ol class="steps">${body.steps.map((step) => `<li>${view.rich(step.text)}${(step.detail ?? []).map((detail) => `<div class="detail">${view.rich(detail)}</div>`).join('')}</li>`).join('')}</ol>`,
  // Who says "I" must be told from who wrote the course.
  callout: (body, view) => `<div class="callout ${body.tone}">${body.tone === 'experience' ? `<p class="label">${escape(view.labels.told)}</p>` : ''}${body.paragraphs.map((text) => `<p>${view.rich(text)}</p>`).join('')}</div>`,
  code: (body, view, evidence) => view.cited(`<pre tabindex="0">${escape(body.code)}</pre>`, evidence),
  terms: (body, view) => `<dl class="terms">${body.terms.map((entry) => `<dt>${escape(entry.term)}</dt><dd>${view.rich(entry.text)}</dd>`).join('')}</dl>`,
  summary: (body, view) => `<div class="summary"><p class="label">${escape(view.labels.summary)}</p><ul>${body.points.map((point) => `<li>${view.rich(point)}</li>`).join('')}</ul></div>`,
  check: (body, view) => view.check(body.checkId),
};

/** A block as HTML. */
export function blockHtml(block: Block, view: BlockView): string {
  return (RENDERERS[block.kind] as (body: unknown, view: BlockView, evidence: readonly PassageRange[]) => string)(block.body, view, block.evidence ?? []);
}

function nested(items: readonly { depth: number; text: RichText }[], tag: string, view: BlockView): string {
  let html = `<${tag}>`;
  let depth = 0;
  items.forEach((item, index) => {
    const target = Math.min(item.depth, index === 0 ? 0 : depth + 1);
    if (index > 0) {
      if (target > depth) html += `<${tag}>`;
      else html += `</li>${`</${tag}></li>`.repeat(depth - target)}`;
    }
    depth = target;
    html += `<li>${view.rich(item.text)}`;
  });
  return `${html}</li>${`</${tag}></li>`.repeat(depth)}</${tag}>`;
}
