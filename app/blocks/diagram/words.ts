import type { DiagramForm } from '~~/core/blocks/diagram/form';

/** What authors call a form of drawing, and one of its parts. */
export const DIAGRAM_WORDS: Record<DiagramForm, { label: string; part: string; text: string }> = {
  strip: { label: 'Strip of stages', part: 'stage', text: 'More on it' },
  scale: { label: 'Scale of bands', part: 'band', text: 'What holds there' },
  roles: { label: 'Who hands what to whom', part: 'person', text: '' },
  change: { label: 'How it was, how it is', part: 'side', text: 'What holds' },
};
