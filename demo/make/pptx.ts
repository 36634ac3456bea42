import pptxgen from 'pptxgenjs';

export interface Slide {
  title: string;
  points?: string[];
  ordered?: boolean;
  table?: string[][];
  notes: string;
}

/** The demo's deck: title slide, bullets, numbered points, a table, speaker notes on every slide. */
export async function makePptx(deck: { title: string; subtitle: string; slides: Slide[] }): Promise<Uint8Array> {
  const file = new (pptxgen as unknown as new () => InstanceType<typeof pptxgen>)();
  file.title = deck.title;
  file.defineSlideMaster({
    title: 'COVER',
    objects: [{ placeholder: { options: { name: 'title', type: 'title', x: 0.6, y: 1.6, w: 8.6, h: 1 }, text: '' } }],
  });
  file.defineSlideMaster({
    title: 'POINTS',
    objects: [
      { placeholder: { options: { name: 'title', type: 'title', x: 0.6, y: 0.4, w: 8.6, h: 0.8 }, text: '' } },
      { placeholder: { options: { name: 'body', type: 'body', x: 0.6, y: 1.4, w: 8.6, h: 3.6 }, text: '' } },
    ],
  });
  const cover = file.addSlide({ masterName: 'COVER' });
  cover.addText(deck.title, { placeholder: 'title' });
  cover.addNotes(deck.subtitle);
  for (const slide of deck.slides) {
    const page = file.addSlide({ masterName: 'POINTS' });
    page.addText(slide.title, { placeholder: 'title' });
    if (slide.points)
      page.addText(
        slide.points.map((text, index) => ({
          text,
          options: {
            bullet: slide.ordered ? { type: 'number' as const } : true,
            breakLine: index < slide.points!.length - 1,
          },
        })),
        { placeholder: 'body' },
      );
    if (slide.table)
      page.addTable(
        slide.table.map((row, index) => row.map((text) => ({ text, options: { bold: index === 0 } }))),
        { x: 0.6, y: 1.5, w: 8.6 },
      );
    page.addNotes(slide.notes);
  }
  return new Uint8Array((await file.write({ outputType: 'arraybuffer' })) as ArrayBuffer);
}
