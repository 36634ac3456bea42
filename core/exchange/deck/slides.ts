import { creditsOf } from '../../course/media';
import type { Course, Lesson } from '../../course/course';
import { checkText } from '../../checks/forms';
import { checkIn, formOf, plainText, type Block } from '../../blocks/forms';
import type { DiagramBody } from '../../blocks/diagram/form';
import { entriesOf } from '../../blocks/turn';
import type { PictureRef } from '../../document/media';
import { textOf, type RichText } from '../../document/rich-text';
import type { LanguagePack } from '../../language/pack';

/** A slide as it is to be written, in whatever format: what it shows, and what its speaker says. */
export interface Slide {
  kind: 'cover' | 'module' | 'points' | 'question';
  title: string;
  /** Under the title of a cover or a module. */
  under?: string;
  points: Point[];
  table?: string[][];
  diagram?: DiagramBody;
  picture?: { ref: PictureRef; alt: string; caption: string; credit?: string };
  notes: string[];
}

export interface Point {
  text: string;
  /** A number of a procedure, or a warning to be seen from the back of a room. */
  as?: 'step' | 'warning';
}

/** What a room reads while somebody speaks: so many points, of so many words. */
const POINTS = 6;
const WORDS = 18;
/** Rows of a table that fit. */
const ROWS = 8;

/**
 * A course as slides: a cover, a slide for each module, and for each lesson its points under their headings. What is
 * long on a page is shortened to its first sentence on the slide and stands whole in what its speaker says; nothing of
 * the page is left out of that.
 */
export function slidesOf(course: Course, pack: LanguagePack): Slide[] {
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  const credits = creditsOf(course);
  const ofLesson = (lesson: Lesson): Slide[] => {
    const slides: Slide[] = [
      {
        ...pointsSlide(lesson.title),
        points: aimsOf(course, lesson).map((text) => ({ text })),
        notes: aimsOf(course, lesson),
      },
    ];
    const fresh = (title: string) => slides.push(pointsSlide(title));
    let title = lesson.title;
    for (const block of lesson.blocks) {
      const asked = checks.get(checkIn(block) ?? '');
      if (asked) {
        const [stem = '', ...lines] = checkText(asked).split('\n');
        slides.push({
          ...pointsSlide(stem),
          kind: 'question',
          // What is chosen from is read; what is told apart or put in order would be given away.
          points: asked.kind === 'choice' || asked.kind === 'several' ? lines.slice(0, POINTS).map(asOption) : [],
          notes: [stem, ...lines],
        });
        continue;
      }
      if (block.kind === 'heading') {
        title = textOf(block.body.text);
        fresh(title);
        continue;
      }
      // What stood under a question goes on under its heading.
      if (slides.at(-1)!.kind === 'question') fresh(title);
      addBlock(block, () => fresh(title), slides, pack, credits);
    }
    return slides.filter(({ kind, points, table, diagram, picture, notes }, at) =>
      kind === 'question' || at === 0 ? true : points.length > 0 || table || diagram || picture || notes.length > 0,
    );
  };
  return [
    { ...pointsSlide(course.title), kind: 'cover', under: course.about?.description ?? course.brief.promise },
    ...course.modules.flatMap((module) => {
      const lessons = module.lessons.filter(({ blocks }) => blocks.length > 0);
      if (lessons.length === 0) return [];
      const head: Slide = { ...pointsSlide(module.title), kind: 'module', under: module.purpose };
      return [head, ...lessons.flatMap(ofLesson)];
    }),
  ];
}

const pointsSlide = (title: string, notes: string[] = []): Slide => ({ kind: 'points', title, points: [], notes });
const asOption = (line: string): Point => ({ text: line.replace(/^[\u2713\u2717\u2013]\s*/, '') });
const aimsOf = (course: Course, lesson: Lesson): string[] =>
  lesson.objectiveIds.flatMap((id) => course.objectives.find((each) => each.id === id)?.text ?? []);

/** Puts a part of a page onto the last slide, or onto further ones where there is no room. */
function addBlock(
  block: Block,
  fresh: () => void,
  slides: Slide[],
  pack: LanguagePack,
  credits: Readonly<Record<string, string>>,
): void {
  const last = () => slides.at(-1)!;
  const isFull = () => last().table !== undefined || last().diagram !== undefined || last().picture !== undefined;
  const say = (words: string) => words.trim() && last().notes.push(words.trim());
  const point = (text: string, as?: Point['as']) => {
    if (text === '') return;
    if (isFull() || last().points.length >= POINTS) fresh();
    last().points.push({ text, ...(as && { as }) });
  };
  const alone = (shown: Partial<Slide>) => {
    if (isFull() || last().points.length > 0) fresh();
    Object.assign(last(), shown);
  };
  switch (block.kind) {
    case 'picture': {
      const { picture, alt, caption, decorative } = block.body;
      const credit = credits[picture.hash];
      alone({
        picture: { ref: picture, alt: decorative ? '' : alt, caption: textOf(caption), ...(credit && { credit }) },
      });
      return void say(textOf(caption));
    }
    case 'gallery':
      for (const { picture, alt, caption } of block.body.pictures) {
        alone({ picture: { ref: picture, alt, caption } });
        say(caption);
      }
      return;
    case 'diagram':
      alone({ diagram: block.body });
      return void say(plainText(block));
    case 'table': {
      const rows = [...(block.body.header.length > 0 ? [block.body.header] : []), ...block.body.rows].map((row) =>
        row.map(textOf),
      );
      if (rows.length <= ROWS) alone({ table: rows });
      else rows.slice(1).forEach((row) => point(shortened(row.filter(Boolean).join(': '), pack)));
      return rows.forEach((row) => say(row.filter(Boolean).join(': ')));
    }
    case 'divider':
    case 'survey':
      return;
    default: {
      const as =
        block.kind === 'steps'
          ? 'step'
          : block.kind === 'callout' && block.body.tone === 'warning'
            ? 'warning'
            : undefined;
      const entries = formOf(block).texts(block.body).length > 0 ? entriesOf(block) : [];
      if (entries.length === 0) return void say(plainText(block));
      for (const { lead, texts } of entries) {
        const whole = [lead, ...texts].filter((text): text is RichText => (text?.length ?? 0) > 0).map(textOf);
        // A name with what it means is one point; a long text is its first sentence.
        const words = lead ? whole.join(': ') : (whole[0] ?? '');
        point(shortened(words, pack, lead ? textOf(lead) : as === 'step' ? pack.stageOf?.(words) : undefined), as);
        say(lead ? `${whole[0]}: ${whole.slice(1).join(' ')}` : whole.join(' '));
      }
    }
  }
}

/** Words for a slide: all of them where they are few, else the first sentence, else a shorter form, else none. */
function shortened(words: string, pack: LanguagePack, shorter = ''): string {
  const bare = words.trim();
  const count = (text: string) => text.split(/\s+/).filter(Boolean).length;
  if (count(bare) <= WORDS) return bare;
  const [first] = pack.sentences(bare);
  const sentence = first ? bare.slice(first.from, first.to).trim() : '';
  if (sentence && count(sentence) <= WORDS) return sentence;
  return count(shorter) <= WORDS ? shorter.trim() : '';
}
