import { describe, expect, it } from 'vitest';
import { readingOf } from '../../core/brief/asked';
import { INTERVIEW, topicTitle } from '../../core/brief/interview';
import { blockTexts, type Block } from '../../core/blocks/forms';
import { allLessons } from '../../core/course/course';
import { textOf } from '../../core/document/rich-text';
import { draftCourse } from '../../core/draft';
import { reportOn } from '../../core/draft/report';
import { understand, type Knowledge } from '../../core/knowledge';
import { readAnswers } from '../../core/reading/answers';
import { packFor } from '../../server/language/packs';
import { aBrief, anId } from '../builders';

/** Answers as authors type them: in haste, of themselves, leaning on what was asked. */
const TYPED: Record<string, string> = {
  'wrong-what':
    'Mostly it is the handover. The night baker leaves a note that says "dough ok", and the early shift has no idea when the rye was fed.\nI also see people trust the display on the prover. It shows what was set, not what is in there.',
  'unsaid-avoid':
    'Nobody washes the divider properly after the nut dough, because it takes twenty minutes. I say it on the first day now.',
  'result-seen':
    'They touch the dough before they look at the clock. When the dough is over 28 degrees they put it in the cold room and tell the next shift.\nThey never leave the nut scoop in another bin.',
  'stages-path':
    'First two weeks: only scaling and cleaning. I know it is boring.\nThen shaping, about a month, always beside somebody.',
  'stages-steps':
    'first read the handover sheet and sign it\nfeed the rye and write the time on the tub\nput the probe in each dough\nif the dough is too warm, put it in the cold room\nload the oven from the back',
  'beginners-wrong':
    'They add flour when the dough sticks, because sticky feels wrong. A wet dough sticks for the first four minutes and then lets go.',
  'stories-best':
    'It was a Saturday in June. A trainee filled the walnut scoop into the sesame bin and said nothing. My hands were shaking for the rest of the day. Since then the walnut scoop is red and hangs on a chain.',
  'thumb-rules':
    'if in doubt, treat it as nuts\nI count the minutes of kneading, never the turns.\nWhen two people give different times, the older dough goes first.',
  'thumb-never':
    'Never reach into the divider while it is plugged in. Never sell a loaf whose label you have not read.',
  'asked-most':
    'Do I have to wash the divider after every dough? After every nut dough, always. Between two wheat doughs I only scrape it.',
};
/** Enough words for a course. */
const MORE: Record<string, string> = {
  de: ['Mehl', 'Salz', 'Zucker', 'Butter', 'Hefe', 'Malz', 'Milch']
    .map((noun) => `Das ${noun} steht im Regal neben der Tür und wird am Abend nachgefüllt.`)
    .join(' '),
  fr: ['farine', 'levure', 'crème', 'pâte', 'glace', 'viande', 'fève']
    .map((noun) => `La ${noun} se trouve sur l’étagère près de la porte et on la remplit le soir.`)
    .join(' '),
  es: ['harina', 'levadura', 'crema', 'masa', 'sal', 'leche', 'carne']
    .map((noun) => `La ${noun} está en el estante junto a la puerta y se repone por la noche.`)
    .join(' '),
};
const ABOUT = { id: anId('answers'), title: 'From experience', language: 'en' };
const asked = (question: string) => readingOf(question, 'en');
const OWN = 'What do customers expect at six in the morning?';

async function understood(): Promise<Knowledge> {
  const answers = [
    ...INTERVIEW.filter(({ key }) => key in TYPED).map(({ key, topic, question }) => ({
      id: anId(key),
      topic: topicTitle(topic, 'en'),
      question,
      text: TYPED[key],
    })),
    {
      id: anId('own'),
      topic: OWN.slice(0, -1),
      question: OWN,
      text: 'Warm bread and no talk. They want to be gone in a minute.',
    },
  ];
  const source = readAnswers(answers, ABOUT, asked)!;
  return understand(source, await packFor('en'));
}
const knowledge = await understood();
const drafted = draftCourse(aBrief(), [knowledge], 'The night shift');
const lessons = allLessons(drafted.course);
const blocks = lessons.flatMap((lesson) => lesson.blocks);
const words = (block: Block) => blockTexts(block).map(textOf).join(' ');
const holding = (text: string) => blocks.find((block) => words(block).includes(text));
/** The nearest heading over a block, or its lesson's title. */
function over(block: Block): string {
  const lesson = lessons.find((each) => each.blocks.includes(block))!;
  const before = lesson.blocks
    .slice(0, lesson.blocks.indexOf(block))
    .filter((each) => each.kind === 'heading')
    .at(-1);
  return before ? words(before) : lesson.title;
}

describe('a course of what its author knows', () => {
  it('teaches every answer, to its last sentence, each on its passage', () => {
    const taught = blocks.map(words).join(' ');
    for (const { text } of knowledge.source.passages) expect(taught).toContain(text);
    expect(reportOn(drafted).sentences.unfaithful).toBe(0);
  });
  it('puts an answer under the words it leans on', () => {
    expect(over(holding('They touch the dough')!)).toBe('What somebody does who has learned this well');
    expect(over(holding('They add flour')!)).toBe('What beginners get wrong');
    expect(over(holding('Warm bread and no talk.')!)).toBe(OWN);
  });
  it('shows as told what says "I", with what leans on it, and stories and rules of thumb', () => {
    for (const text of [
      'people trust the display',
      'It shows what was set',
      'Then shaping',
      'It was a Saturday',
      'If in doubt, treat it as nuts.',
      'the older dough goes first',
      'I only scrape it',
    ]) {
      const block = holding(text)!;
      expect(block.kind === 'callout' && block.body.tone).toBe('experience');
    }
    for (const text of ['The night baker leaves a note', 'They touch the dough'])
      expect(holding(text)!.kind).toBe('text');
    expect(holding('Never reach into')).toMatchObject({ kind: 'callout', body: { tone: 'warning' } });
  });
  it('tells a list with the words that introduce it', async () => {
    const { topic, question } = INTERVIEW.find(({ key }) => key === 'result-other')!;
    const text = `Good work can be picked up by somebody else without a question.\nI look at three things before I believe a tray:\n- the colour of the underside\n- the sound when somebody knocks on it\n- the smell at the open window\n\n${TYPED['wrong-what']} ${TYPED['stories-best']}`;
    const source = readAnswers([{ id: anId('signs'), topic: topicTitle(topic, 'en'), question, text }], ABOUT, asked)!;
    const shown = allLessons(
      draftCourse(aBrief(), [understand(source, await packFor('en'))], 'The night shift').course,
    ).flatMap((lesson) => lesson.blocks);
    const callout = shown.find((block) => words(block).includes('three things'))!;
    expect(callout).toMatchObject({ kind: 'callout', body: { tone: 'experience' } });
    expect(words(callout)).toContain('the smell at the open window');
  });
  it('makes steps of the work told line by line', () => {
    expect(holding('Feed the rye')).toMatchObject({ kind: 'steps', body: { steps: { length: 5 } } });
  });
  it('asks nothing about what somebody says of themselves', () => {
    // Nor a figure of a story.
    expect(
      knowledge.claims.filter((claim) => claim.kind === 'figure' && /minutes of kneading|day now/.test(claim.text)),
    ).toEqual([]);
    for (const check of drafted.course.checks) expect(check.stem).not.toMatch(/\b(?:I|my)\b/);
    expect(
      knowledge.claims.filter((claim) => /\bI\b/.test(claim.text)).every((claim) => claim.leaning !== undefined),
    ).toBe(true);
  });
  it('understands what was asked for: a story is an example, a rule of thumb a tip', () => {
    const kinds = (text: string) =>
      knowledge.claims.filter((claim) => claim.text.includes(text)).map((claim) => claim.kind);
    expect(kinds('It was a Saturday')).toContain('example');
    expect(kinds('I count the minutes')).toContain('tip');
    expect(kinds('Never sell a loaf')).toContain('rule');
  });
  it.each([
    [
      'de',
      'Ich prüfe immer zuerst den Teig und dann erst die Uhr. Das hat mir mein Meister beigebracht, und es stimmt bis heute an jedem Morgen.',
      'Die Nachtschicht schreibt auf, wann der Roggen gefüttert wurde, wie warm er war und wer es getan hat. Wer das vergisst, kostet die Bäckerei eine ganze Ladung Brot, und das Hotel bekommt nichts. Am Morgen muss niemand fragen, denn alles steht auf dem Zettel neben der Tür.',
    ],
    [
      'fr',
      'Je touche toujours la pâte avant de regarder l’heure. Mon maître me l’a appris, et c’est vrai encore aujourd’hui, chaque matin.',
      'L’équipe de nuit note quand le seigle a été nourri, combien il était chaud et qui l’a fait. Celui qui oublie cela coûte à la boulangerie toute une fournée de pain, et l’hôtel ne reçoit rien. Le matin, personne ne doit demander, car tout est écrit sur la feuille près de la porte.',
    ],
    [
      'es',
      'Yo toco siempre la masa antes de mirar el reloj. Mi maestro me lo enseñó, y es verdad todavía hoy, cada mañana del año.',
      'El turno de noche apunta cuándo se alimentó el centeno, qué temperatura tenía y quién lo hizo. Quien lo olvida le cuesta a la panadería toda una hornada de pan, y el hotel no recibe nada. Por la mañana nadie tiene que preguntar, porque todo está escrito en la hoja junto a la puerta.',
    ],
  ])('lets them tell in their language: %s', (language, told, plain) => {
    const { topic, question } = INTERVIEW.find(({ key }) => key === 'result-seen')!;
    const source = readAnswers(
      [
        { id: anId('seen'), topic: topicTitle(topic, language), question, text: `${told}\n${plain}` },
        {
          id: anId('more'),
          topic: topicTitle('asked', language),
          question: INTERVIEW.at(-1)!.question,
          text: MORE[language],
        },
      ],
      { ...ABOUT, language },
      (each) => readingOf(each, language),
    )!;
    const shown = allLessons(draftCourse(aBrief({ language }), [understand(source, packFor(language))], 'Brot').course)
      .flatMap((lesson) => lesson.blocks)
      .filter((block) => [told, plain].includes(words(block)));
    expect(shown.map((block) => [block.kind, words(block)])).toEqual([
      ['callout', told],
      ['text', plain],
    ]);
  });
  it('keeps an answer whole that begins with "they"', async () => {
    const [question] = INTERVIEW.filter(({ key }) => key === 'wrong-cost');
    const text =
      'They lose a whole batch of rye, and with it the hotel on the square that orders it every day of the week, winter and summer. Flour costs money. A lost batch is 64 loaves. The wages are paid all the same, and the oven was on for nothing at all that night, which nobody pays for either.';
    const steps = INTERVIEW.find(({ key }) => key === 'stages-steps')!;
    const source = readAnswers(
      [
        {
          id: anId('steps'),
          topic: topicTitle('stages', 'en'),
          question: steps.question,
          text: `${TYPED['stages-steps']}\n${'Wash the divider with the guard off before and after the nut dough, every time.\n'.repeat(8)}`,
        },
        { id: anId('cost'), topic: topicTitle('wrong', 'en'), question: question.question, text },
      ],
      ABOUT,
      asked,
    )!;
    const shown = allLessons(draftCourse(aBrief(), [understand(source, await packFor('en'))], 'The night shift').course)
      .flatMap((lesson) => lesson.blocks.map(words))
      .join(' ');
    // Nothing of an answer is lost; the question over it says who they are.
    expect(shown).toContain('They lose');
    expect(shown).toContain('A lost batch is 64 loaves.');
  });
});
