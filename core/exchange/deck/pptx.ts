import pptxgen from 'pptxgenjs';
import { passed, type DiagramBody } from '../../blocks/diagram/form';
import type { Slide } from './slides';

/** Inches of a wide slide, and where its matter stands. */
const PAGE = { width: 13.33, height: 7.5 };
const BODY = { x: 0.8, y: 1.75, w: 11.7, h: 5.1 };
/** Colours of our own look. */
const INK = '26332E';
const MOSS = '1F5C4A';
const PALE = 'E8EEE6';
const RUST = 'A13D1E';
const FACE = 'Calibri';

type Deck = InstanceType<typeof pptxgen>;
type Page = ReturnType<Deck['addSlide']>;

/**
 * Slides as a presentation of Office Open XML (ECMA-376), with titles and bullets as placeholders, so that they are
 * edited, read aloud and restyled like any; diagrams as shapes. `bytesOf` gives pictures by hash; those of kinds that
 * presentations do not show are left to what their speaker says.
 */
export async function writePptx(
  slides: readonly Slide[],
  title: string,
  bytesOf: (hash: string) => Uint8Array | undefined,
): Promise<Uint8Array> {
  const deck = new (pptxgen as unknown as new () => Deck)();
  deck.layout = 'LAYOUT_WIDE';
  deck.title = title;
  deck.defineSlideMaster({
    title: 'HEAD',
    background: { color: MOSS },
    objects: [placeholder('title', 'title', 2.3, 1.5, 40, 'FFFFFF')],
  });
  deck.defineSlideMaster({
    title: 'POINTS',
    objects: [placeholder('title', 'title', 0.45, 1.1, 30, MOSS), placeholder('body', 'body', BODY.y, BODY.h, 22, INK)],
  });
  deck.defineSlideMaster({ title: 'SHOWN', objects: [placeholder('title', 'title', 0.45, 1.1, 30, MOSS)] });
  for (const slide of slides) {
    const isHead = slide.kind === 'cover' || slide.kind === 'module';
    const page = deck.addSlide({ masterName: isHead ? 'HEAD' : slide.points.length > 0 ? 'POINTS' : 'SHOWN' });
    page.addText(slide.title, { placeholder: 'title' });
    if (slide.under)
      page.addText(slide.under, {
        x: 0.8,
        y: 4,
        w: 11.7,
        h: 2,
        fontSize: 20,
        color: 'FFFFFF',
        fontFace: FACE,
        valign: 'top',
      });
    if (slide.points.length > 0) addPoints(page, slide);
    if (slide.table)
      page.addTable(
        slide.table.map((row, at) =>
          row.map((text) => ({ text, options: { bold: at === 0, fill: { color: at === 0 ? PALE : 'FFFFFF' } } })),
        ),
        { ...BODY, fontSize: 16, color: INK, fontFace: FACE, border: { type: 'solid', color: 'C9CFC6', pt: 1 } },
      );
    if (slide.diagram) addDiagram(deck, page, slide.diagram);
    if (slide.picture) addPicture(page, slide.picture, bytesOf);
    page.addNotes(slide.notes.join('\n\n'));
  }
  return new Uint8Array((await deck.write({ outputType: 'arraybuffer' })) as ArrayBuffer);
}

const placeholder = (name: string, type: 'title' | 'body', y: number, h: number, fontSize: number, color: string) => ({
  placeholder: {
    options: {
      name,
      type,
      x: 0.8,
      y,
      w: 11.7,
      h,
      fontSize,
      color,
      fontFace: FACE,
      bold: type === 'title',
      align: 'left' as const,
      valign: type === 'title' ? ('middle' as const) : ('top' as const),
    },
    text: '',
  },
});

function addPoints(page: Page, { points }: Slide): void {
  page.addText(
    points.map(({ text, as }, at) => ({
      text,
      options: {
        bullet: as === 'step' ? { type: 'number' as const } : true,
        breakLine: at < points.length - 1,
        paraSpaceAfter: 8,
        ...(as === 'warning' && { color: RUST, bold: true }),
      },
    })),
    { placeholder: 'body' },
  );
}

/** Kinds of pictures that presentations show. */
const SHOWN: Record<string, string> = {
  'image/png': 'image/png',
  'image/jpeg': 'image/jpeg',
  'image/gif': 'image/gif',
};

function addPicture(
  page: Page,
  { ref, alt, caption, credit }: NonNullable<Slide['picture']>,
  bytesOf: (hash: string) => Uint8Array | undefined,
): void {
  const bytes = SHOWN[ref.type] ? bytesOf(ref.hash) : undefined;
  const under = [caption, credit].filter(Boolean).join(' — ');
  const room = { w: BODY.w, h: BODY.h - (under ? 0.6 : 0) };
  if (bytes) {
    const scale = Math.min(room.w / ref.width, room.h / ref.height);
    const [w, h] = [ref.width * scale, ref.height * scale];
    const data = `${SHOWN[ref.type]};base64,${base64(bytes)}`;
    page.addImage({ data, x: (PAGE.width - w) / 2, y: BODY.y + (room.h - h) / 2, w, h, ...(alt && { altText: alt }) });
  } else if (alt) page.addText(alt, { ...BODY, h: room.h, fontSize: 18, italic: true, color: INK, fontFace: FACE });
  if (under)
    page.addText(under, {
      x: BODY.x,
      y: BODY.y + room.h,
      w: BODY.w,
      h: 0.6,
      fontSize: 14,
      color: INK,
      fontFace: FACE,
      align: 'center',
    });
}

function base64(bytes: Uint8Array): string {
  let letters = '';
  const step = 0x8000;
  for (let at = 0; at < bytes.length; at += step) letters += String.fromCharCode(...bytes.subarray(at, at + step));
  return btoa(letters);
}

/** A diagram as shapes with words in them: stages and bands row by row, people with an arrow between. */
function addDiagram(deck: Deck, page: Page, body: DiagramBody): void {
  const box = (text: string, x: number, y: number, w: number, h: number, bold = true) =>
    page.addText(text, {
      shape: deck.ShapeType.roundRect,
      x,
      y,
      w,
      h,
      fontSize: 14,
      bold,
      color: INK,
      fontFace: FACE,
      fill: { color: PALE },
      line: { color: MOSS, width: 1.5 },
      align: 'center',
      valign: 'middle',
      rectRadius: 0.05,
    });
  const arrow = (x: number, y: number, w: number) =>
    page.addShape(deck.ShapeType.line, { x, y, w, h: 0, line: { color: MOSS, width: 2, endArrowType: 'triangle' } });
  if (body.form === 'roles') {
    const rows = passed(body);
    const step = Math.min(0.95, BODY.h / Math.max(1, rows.length));
    rows.forEach(({ from, to, label }, at) => {
      const y = BODY.y + at * step;
      box(from, BODY.x, y, 2.8, step * 0.75);
      arrow(BODY.x + 2.9, y + step * 0.6, 5.9);
      page.addText(label, {
        x: BODY.x + 2.9,
        y,
        w: 5.9,
        h: step * 0.55,
        fontSize: 13,
        color: INK,
        fontFace: FACE,
        align: 'center',
        valign: 'bottom',
      });
      box(to, BODY.x + 8.9, y, 2.8, step * 0.75);
    });
    return;
  }
  const across =
    body.form === 'scale'
      ? Math.max(1, body.parts.length)
      : body.form === 'change'
        ? 2
        : Math.min(4, body.parts.length);
  const gap = body.form === 'scale' ? 0 : 0.45;
  const w = (BODY.w - gap * (across - 1)) / across;
  const lines = Math.ceil(body.parts.length / across);
  const h = Math.min(2.2, (BODY.h - 0.3 * (lines - 1)) / lines);
  body.parts.forEach(({ label, text }, at) => {
    const [x, y] = [BODY.x + (at % across) * (w + gap), BODY.y + Math.floor(at / across) * (h + 0.3)];
    box([body.form === 'strip' ? `${at + 1}. ${label}` : label, text].filter(Boolean).join('\n'), x, y, w, h, !text);
    if (gap > 0 && at % across < across - 1 && at < body.parts.length - 1) arrow(x + w + 0.06, y + h / 2, gap - 0.12);
  });
}
