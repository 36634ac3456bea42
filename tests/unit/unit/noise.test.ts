import { describe, expect, it } from 'vitest';
import type { Noise } from '../../../core/language/noise';
import { noiseIn } from '../../../core/language/noise';
import { ENGLISH_NOISE } from '../../../core/language/en/noise';
import { hesitationsIn } from '../../../core/language/en/hesitations';
import { understand } from '../../../core/knowledge';
import { readSource } from '../../../core/reading';
import { sentenceKey, unitsOf } from '../../../core/unit/units';
import { packFor } from '../../../server/language/packs';
import { anId, knowing } from '../../builders';

async function fromText(text: string) {
  const result = await readSource({ name: 'talk.vtt', bytes: new TextEncoder().encode(text) }, anId('talk'));
  if (!result.ok) throw new Error(result.problem.code);
  return result.source;
}

const anywhere = { spoken: false, voice: false, edge: false, opening: false, bare: false, step: false };
const said = { ...anywhere, spoken: true, voice: true, edge: true };
const edge = { ...anywhere, edge: true };

describe('noise by name', () => {
  it.each<[Noise, string, Partial<typeof anywhere>]>([
    ['pointer', 'See section 4 for details.', anywhere],
    ['pointer', 'For the history of this document see the last page.', anywhere],
    ['pointer', 'The lifting points are described in the service manual.', anywhere],
    ['pointer', 'More on this in chapter 3.', anywhere],
    ['contact', 'If a question is missing, write to us at desk@hall.example.', anywhere],
    ['thanks', 'Thanks to everyone who wrote in!', anywhere],
    ['thanks', 'Collected by Bente.', anywhere],
    ['history', 'Version 3.2, approved in May.', edge],
    ['history', 'This version replaces version 2.', edge],
    ['about', 'This handbook is meant to be read once from end to end.', anywhere],
    ['legal', '© The Hall. All rights reserved.', anywhere],
    ['marketing', 'Ours is the most reliable kiosk in its class.', anywhere],
    ['greeting', 'Good morning, everybody.', said],
    ['greeting', 'So, um, my name is Jo.', said],
    ['stage', 'Can you hear me at the back?', said],
    ['stage', 'Next slide please.', said],
    ['stage', 'I have a scar here, you cannot see it on the camera.', said],
    ['stage', "That's it, I think.", { ...said, edge: false }],
    ['stage', 'How long was that?', said],
    ['stage', "We'll show you under the lamp.", anywhere],
    ['pointer', "You saw the example with Ida, in the policy, that's a real person.", said],
    ['politeness', 'Thank you so much.', said],
    ['politeness', 'Thank you, everybody.', said],
    ['stage', 'See you on the floor.', said],
    ['stage', 'What else.', { ...said, edge: false }],
    ['stage', 'Last one.', { ...said, edge: false }],
    [
      'stage',
      'The course would be for the people I take on each season: six or seven of them, mostly in their twenties, strong, willing, and most have never dug a hole that was not on a beach.',
      { ...anywhere, voice: true },
    ],
  ])('%s: %s', (noise, text, setting) =>
    expect(noiseIn(ENGLISH_NOISE, text, false, { ...anywhere, ...setting })).toBe(noise),
  );

  // Each of these was taken for noise once, or looks like it.
  it.each([
    'Read the humidity gauge in the map room and write the figure in the log.',
    'Look at the table by the door and take away what lies on it.',
    'You cannot see them on the camera when the gate is open.',
    'That is all that may be carried.',
    'Chilled food must arrive at 5 °C or below.',
    'If the lamp stays red, see section 4 before you go on.',
    'Read the whole mail, including the part below the signature.',
    'The writer updates the page every 30 minutes, until the end.',
    'See you how it runs before you go.',
    'Take care with the blade.',
    'Take care of the seals.',
    '(c) Every pack must be labelled.',
    '(c) the valve stays shut',
    'Last one out locks the gate.',
    'What else is kept in the cupboard must be dry.',
    'In a life-threatening emergency call the local number first.',
    'This policy applies to everybody who works here.',
    'Version 2 of the key opens both doors.',
    'Approved suppliers deliver before seven.',
    'Status lamps are green in the morning.',
    'Reviewed by two people, the list must hang at the door.',
    'Write the reading on the page of the day.',
    'Contact the desk lead before you open the box.',
    'The key is kept in the drawer below the till.',
    'Thank the caller, and ring back within an hour.',
    'Never go back for your phone.',
    'No.',
    'A guest who is polite is not always sober.',
  ])('is not: %s', (text) => expect(noiseIn(ENGLISH_NOISE, text, false, edge)).toBeUndefined());

  it('is never what carries a rule, limit, definition, exception or warning, unless its whole words are known', async () => {
    const knowledge = await knowing(
      '# A\n\n## Terms of use\n\nOurs is the best saw in the world, and you must never lend it without its guard.\n\n## Rest\n\nMore of it.\n',
    );
    expect([...unitsOf(knowledge).noise]).toEqual([]);
  });

  it('a heading drops its own text only, and what instructs under a soft one stays', async () => {
    const knowledge = await knowing(
      '# A\n\n## Legal notice\n\nCopyright of the hall, all rights reserved.\n\n### How to lock up\n\nThe last one must lock both doors.\n\n## Contact\n\nIf you smell gas, you must call 2222 at once.\n\n## Changelog\n\nSmall things were put right.\n',
    );
    const kept = unitsOf(knowledge)
      .units.filter((unit) => !unit.noise)
      .flatMap((unit) => unit.passages)
      .map((id) => knowledge.passages.get(id)!.text);
    expect(kept).toEqual(['The last one must lock both doors.', 'If you smell gas, you must call 2222 at once.']);
  });

  it('is what says whose a document is and how it may be copied, whatever its heading', async () => {
    const knowledge = await knowing(
      '# A\n\n## Ida Marlow\n\nCopyright © 2001, 2002 Ida Marlow\n\nThis guide is free; you can redistribute it under the terms of the GNU General Public License.\n\nYou should have received a copy of that licence along with it; if not, write to the hall.\n\n## Gates\n\nEvery gate must be locked.\n',
    );
    expect(unitsOf(knowledge).units.map((unit) => unit.noise)).toEqual(['legal', 'legal', 'legal', undefined]);
    const people = await knowing(
      '# A\n\n## Copyright\n\n- Ida Marlow <ida@hall.example>\n- Tom Ashby <tom@hall.example>\n- Jo Lund <jo@hall.example>\n- Mia Berg <mia@hall.example>\n\nThis guide may be copied under the terms of its licence.\n\n## Gates\n\nEvery gate must be locked.\n',
    );
    expect(unitsOf(people).units.map((unit) => unit.noise)).toEqual(['legal', 'legal', undefined]);
  });

  it('is not what a source is about: a talk on cameras, release notes alone', async () => {
    const talk = understand(
      await fromText(
        `WEBVTT\n\n${Array.from({ length: 24 }, (_, at) => `00:00:${String(at * 2).padStart(2, '0')}.000 --> 00:00:${String(at * 2 + 1).padStart(2, '0')}.900\nThe camera has a button number ${at} on its side.\n`).join('\n')}`,
      ),
      packFor('en'),
    );
    expect(unitsOf(talk).noise.size).toBe(0);
    const notes = await knowing(
      '# Boxes\n\n## What is new\n\nThe lid opens with one hand now. The label is read by the gate.\n\n## Rest\n\nBoxes are blue.\n',
    );
    expect(unitsOf(notes).units.filter((unit) => unit.noise)).toEqual([]);
  });

  it('is a contents list, in items or in one line', async () => {
    for (const list of ['- Saws\n- Drills', 'In here: Saws · Drills']) {
      const knowledge = await knowing(
        `# A\n\n${list}\n\n## Saws\n\nA saw must be locked away.\n\n## Drills\n\nA drill must be oiled.\n`,
      );
      expect(
        unitsOf(knowledge)
          .units.filter((unit) => unit.noise)
          .map((unit) => unit.noise),
      ).toEqual(['contents']);
    }
  });
});

describe('noise in other languages', () => {
  const kind = (language: string, text: string, setting: Partial<typeof anywhere> = {}) =>
    noiseIn(packFor(language).noise!, text, false, { ...anywhere, ...setting });
  it.each([
    ['de', 'Näheres siehe Abschnitt 4.', 'pointer', {}],
    ['de', 'Vielen Dank an alle, die geholfen haben.', 'thanks', {}],
    ['de', 'Guten Morgen, schön, dass Sie da sind.', 'greeting', said],
    ['de', 'Version 3, freigegeben im Mai.', 'history', edge],
    ['fr', 'Voir le chapitre 3 du manuel.', 'pointer', {}],
    ['fr', 'Merci à toute l’équipe.', 'thanks', {}],
    ['fr', 'Bonjour à tous.', 'greeting', said],
    ['es', 'Véase la sección 4.', 'pointer', {}],
    ['es', 'Hola, buenas tardes.', 'greeting', said],
  ] as const)('%s: %s', (language, text, noise, setting) => expect(kind(language, text, setting)).toBe(noise));
  it.each([
    ['de', 'Wenn die Lampe rot bleibt, siehe Abschnitt 4.'],
    ['de', 'Danken Sie dem Gast und rufen Sie zurück.'],
    ['de', 'Die Frist steht unten auf dem Zettel und darf nie überschritten werden.'],
    ['fr', 'Si le voyant reste rouge, voir le chapitre 4.'],
    ['es', 'Si la luz sigue roja, véase la sección 4.'],
  ])('%s, not: %s', (language, text) => expect(kind(language, text, edge)).toBeUndefined());
});

describe('what is said to a hall', () => {
  it('is a few words of reply as well, but never a topic', async () => {
    const source = await fromText(
      'WEBVTT\n\n00:00:01.000 --> 00:00:04.000\nNext slide please. No, the other one. Okay. Hands.\n\n00:00:04.100 --> 00:00:09.000\nYou wash them for a minute before you touch the dough.\n',
    );
    const knowledge = understand(source, packFor('en'));
    const { noise } = unitsOf(knowledge);
    const kept = [...knowledge.sentences.values()]
      .flat()
      .filter((sentence) => !noise.has(sentenceKey(sentence)))
      .map((sentence) => sentence.text);
    expect(kept).toEqual(['Hands.', 'You wash them for a minute before you touch the dough.']);
  });
});

describe('hesitations', () => {
  const without = (text: string) =>
    hesitationsIn(text)
      .toReversed()
      .reduce((left, { from, to }) => left.slice(0, from) + left.slice(to), text);
  it.each([
    ["We don't, um, we don't ask for papers.", "we don't ask for papers."],
    ['So, um, the door is shut.', 'So the door is shut.'],
    ['Um, the door is shut.', 'the door is shut.'],
    ['You wash it for ten, no, sorry, five minutes.', 'You wash it for five minutes.'],
    ['It is, you know, a good door.', 'It is a good door.'],
    ['I say it because, you know, all is lost here.', 'I say it because all is lost here.'],
    ['It is very, very hot.', 'It is very, very hot.'],
    ['An umbrella stands there.', 'An umbrella stands there.'],
  ])('%s', (text, left) => expect(without(text)).toBe(left));
});

describe('the edge of a document', () => {
  it('is not used up by its contents', async () => {
    const parts = Array.from({ length: 12 }, (_, at) => `Part ${'ABCDEFGHIJKL'[at]}`);
    const knowledge = await knowing(
      `# Policy\n\n${parts.map((part) => `- ${part}`).join('\n')}\n\n## Part A\n\nIt should be read together with the notice in the hall.\n\n${parts
        .slice(1)
        .map((part) => `## ${part}\n\nEvery gate of ${part} must be shut at night.`)
        .join('\n\n')}\n`,
    );
    expect([...unitsOf(knowledge).noise.entries()].filter(([, noise]) => noise === 'about')).toHaveLength(1);
  });
});
