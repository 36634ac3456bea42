import type { Block } from '../core/blocks/forms';
import { plainRun } from '../core/document/rich-text';
import { anId } from './builders';

const text = plainRun('Some words.');

/** What a page can be made of: a new kind gets its line here, and every test that asks all kinds asks it, too. */
export const A_BLOCK_OF_EVERY_KIND: Block[] = [
  { id: anId('b11'), kind: 'quote', body: { paragraphs: [text, text], by: 'Ada' } },
  { id: anId('b1'), kind: 'heading', body: { level: 2, text } },
  { id: anId('b2'), kind: 'text', body: { text } },
  {
    id: anId('b3'),
    kind: 'list',
    body: {
      ordered: true,
      items: [
        { depth: 0, text },
        { depth: 1, text },
      ],
    },
  },
  { id: anId('b4'), kind: 'table', body: { header: [text, text], rows: [[text, []]] } },
  { id: anId('b5'), kind: 'steps', body: { steps: [{ text, detail: [text] }, { text }] } },
  { id: anId('b6'), kind: 'callout', body: { tone: 'warning', paragraphs: [text] } },
  { id: anId('b7'), kind: 'code', body: { code: 'x = 1' }, evidence: [{ id: anId('p'), from: 0, to: 5 }] },
  { id: anId('b8'), kind: 'terms', body: { terms: [{ term: 'word', text }] } },
  { id: anId('b9'), kind: 'summary', body: { points: [text] } },
  {
    id: anId('b12'),
    kind: 'picture',
    body: {
      picture: { hash: 'ab'.repeat(32), type: 'image/png', width: 640, height: 480 },
      alt: 'A ladder on a wall',
      caption: text,
    },
    evidence: [{ id: anId('p'), from: 0, to: 5 }],
  },
  {
    id: anId('b27'),
    kind: 'diagram',
    body: {
      form: 'scale',
      title: 'How long a tool may be late',
      parts: [
        { id: anId('d1'), label: 'Up to 3 days', text: 'A reminder goes out' },
        { id: anId('d2'), label: 'More than 3 days', text: 'The desk lead telephones' },
      ],
    },
    evidence: [{ id: anId('p'), from: 0, to: 5 }],
  },
  {
    id: anId('b28'),
    kind: 'diagram',
    body: {
      form: 'roles',
      title: 'Who tells whom',
      parts: [
        { id: anId('d3'), label: 'Volunteer' },
        { id: anId('d4'), label: 'Desk lead' },
      ],
      links: [{ id: anId('d5'), from: anId('d3'), to: anId('d4'), label: 'tells at once' }],
    },
  },
  {
    id: anId('b29'),
    kind: 'gallery',
    body: {
      pictures: [
        {
          id: anId('g1'),
          picture: { hash: 'ac'.repeat(32), type: 'image/webp', width: 1640, height: 980 },
          alt: 'A bench',
          caption: 'The bench by the door',
        },
        {
          id: anId('g2'),
          picture: { hash: 'ad'.repeat(32), type: 'image/jpeg', width: 640, height: 480 },
          alt: '',
          decorative: true,
          caption: '',
        },
      ],
      show: 'grid',
    },
  },
  {
    id: anId('b25'),
    kind: 'clip',
    body: {
      clip: { hash: 'ae'.repeat(32), type: 'video/webm', seconds: 90.5, width: 640, height: 360 },
      title: 'How the chuck is tightened',
      caption: 'Filmed at the bench',
      from: 10,
      to: 40,
      cues: [{ from: 12, to: 15, text: 'Turn it by hand first.' }],
    },
  },
  {
    id: anId('b26'),
    kind: 'files',
    body: {
      files: [
        {
          id: anId('f1'),
          file: { hash: 'af'.repeat(32), type: 'application/pdf', name: 'checklist.pdf', bytes: 4096 },
          text: 'For the wall',
          shown: true,
        },
      ],
    },
  },
  {
    id: anId('b13'),
    kind: 'sides',
    body: { left: { title: text, items: [text, text] }, right: { title: text, items: [text] } },
  },
  {
    id: anId('b14'),
    kind: 'cards',
    body: {
      cards: [
        { front: text, back: [text, text] },
        { front: text, back: [text] },
      ],
    },
  },
  { id: anId('b15'), kind: 'panels', body: { show: 'tabs', panels: [{ title: text, texts: [text, text] }] } },
  { id: anId('b16'), kind: 'panels', body: { show: 'folds', panels: [{ title: [], texts: [text] }] } },
  { id: anId('b17'), kind: 'figures', body: { figures: [{ value: text, text }] } },
  { id: anId('b18'), kind: 'divider', body: {} },
  { id: anId('b19'), kind: 'slot', body: { asks: 'Who to ask here', text } },
  {
    id: anId('b20'),
    kind: 'worked',
    body: {
      given: { title: text, items: [text] },
      working: { title: text, items: [text, text] },
      result: { title: text, items: [text] },
    },
  },
  { id: anId('b21'), kind: 'reading', body: { items: [{ title: text, text }] } },
  {
    id: anId('b22'),
    kind: 'event',
    body: {
      title: text,
      start: '2027-02-03T18:30+01:00',
      zone: 'Europe/Lisbon',
      minutes: 45,
      address: 'https://fernhollow.example/talk',
      text,
    },
  },
  {
    id: anId('b23'),
    kind: 'embed',
    body: { address: 'https://maps.fernhollow.example/yard', title: 'The yard', caption: text },
    paired: true,
  },
  {
    id: anId('b24'),
    kind: 'survey',
    body: {
      title: 'How it went',
      intro: 'Two minutes.',
      named: true,
      thanks: 'Thank you.',
      items: [
        { id: anId('i1'), kind: 'rating', text: 'How clear?', of: 5, low: 'not', high: 'very', required: true },
        {
          id: anId('i2'),
          kind: 'scale',
          text: 'How sure are you?',
          options: [
            { id: anId('s1'), text: 'Not at all' },
            { id: anId('s2'), text: 'Completely' },
          ],
        },
        {
          id: anId('i3'),
          kind: 'choice',
          text: 'Which part helps?',
          other: true,
          options: [
            { id: anId('c1'), text: 'The first' },
            { id: anId('c2'), text: 'The second' },
          ],
        },
        {
          id: anId('i4'),
          kind: 'several',
          text: 'What do you use?',
          other: true,
          options: [
            { id: anId('m1'), text: 'The list' },
            { id: anId('m2'), text: 'The table' },
          ],
        },
        { id: anId('i5'), kind: 'number', text: 'How many shifts?', min: 0, max: 12, unit: 'a month' },
        { id: anId('i6'), kind: 'text', text: 'What was missing?' },
      ],
    },
  },
  { id: anId('b10'), kind: 'check', body: { checkId: anId('check') } },
];
