import type { DiagramBody, DiagramForm } from '~~/core/blocks/diagram/form';
import { freshId } from '~/composables/useApi';
import { fieldedNode } from '../fielded';
import type { BlockNode } from '../node';
import DiagramFormed from './DiagramFormed.vue';
import { DIAGRAM_WORDS } from './words';

const EMPTY: DiagramBody = { form: 'strip', title: '', parts: [] };
const fresh = (form: DiagramForm, labels: readonly string[]) => (): DiagramBody => ({
  form,
  title: '',
  parts: labels.map((label) => ({ id: freshId('d'), label })),
});

export const diagram: BlockNode<DiagramBody> = {
  label: 'Diagram',
  ...fieldedNode('diagram', EMPTY, DiagramFormed),
  add: [
    { label: DIAGRAM_WORDS.strip.label, body: fresh('strip', ['First', 'Then', 'At last']) },
    { label: DIAGRAM_WORDS.scale.label, body: fresh('scale', ['Up to 5', '5 to 10', 'Above 10']) },
    { label: DIAGRAM_WORDS.roles.label, body: fresh('roles', ['One person', 'Another']) },
    { label: DIAGRAM_WORDS.change.label, body: fresh('change', ['Before', 'Now']) },
  ],
};
