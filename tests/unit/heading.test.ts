import { describe, expect, it } from 'vitest';
import { blockTexts } from '../../core/blocks/forms';
import { allLessons } from '../../core/course/course';
import { textOf } from '../../core/document/rich-text';
import { draftCourse } from '../../core/draft';
import { reportOn } from '../../core/draft/report';
import { aBrief, knowing } from '../builders';

const filler = (about: string) =>
  Array.from(
    { length: 9 },
    (_, at) => `The ${about} has a label that tells the year of its making and the shelf number ${at + 2}.`,
  ).join(' ');

async function pages(text: string) {
  const draft = draftCourse(aBrief(), [await knowing(text)], 'Machines');
  expect(reportOn(draft).sentences.unfaithful).toBe(0);
  // Each page as lines, its title and headings with "#".
  return allLessons(draft.course).flatMap((lesson) => [
    `# ${lesson.title}`,
    ...lesson.blocks.flatMap((block) =>
      block.kind === 'code'
        ? [block.body.code]
        : blockTexts(block).map((each) => `${block.kind === 'heading' ? '# ' : ''}${textOf(each)}`),
    ),
  ]);
}

describe('what opens a part of a document', () => {
  it('may lean on the heading that is shown right over it', async () => {
    const lines = await pages(
      `# Machines\n\n## The planer makes a whistling noise\n\nThis usually means that the belt is loose. Tighten it by a quarter turn.\n\n${filler('planer')}\n\n## Can members repair a saw at home?\n\nNo. Only a trained volunteer opens a saw. Members bring it to the desk.\n\n${filler('saw')}\n`,
    );
    const at = lines.findIndex((line) => line.startsWith('This usually means that the belt is loose. Tighten'));
    expect(lines[at - 1]).toBe('# The planer makes a whistling noise');
    const answer = lines.findIndex((line) => line.startsWith('No. Only a trained volunteer opens a saw.'));
    expect(lines[answer - 1]).toBe('# Can members repair a saw at home?');
  });

  it('keeps the code and the list that its heading or its answer introduces', async () => {
    const lines = await pages(
      `# Machines\n\n## The terminal at the desk shows this message:\n\n    card reader not found\n\nPlug the reader in again and wait for the green light.\n\n${filler('reader')}\n\n## Does a saw need a guard?\n\nYes, and it must be one of these:\n\n- a fixed guard\n- a guard that swings\n\n${filler('guard')}\n`,
    );
    expect(lines[lines.indexOf('card reader not found') - 1]).toBe('# The terminal at the desk shows this message');
    const lead = lines.indexOf('Yes, and it must be one of these:');
    expect(lines.slice(lead - 1, lead + 2)).toEqual([
      '# Does a saw need a guard?',
      'Yes, and it must be one of these:',
      'a fixed guard',
    ]);
  });

  it('is kept where it leans on nothing that is shown, without notes of its author', async () => {
    const lines = await pages(
      `# Machines\n\n## Overview\n\nThis makes it hard to keep. ${filler('planer')}\n\n## The belt sander\n\n${filler('sander')}\n\nThese are changed in spring.\n\nFIXME: which ones?\n\nThey wait on the shelf for the desk lead.\n`,
    );
    expect(lines.join('\n')).toMatch(/This makes it hard to keep[^]*They wait on the shelf/);
    expect(lines.join('\n')).not.toContain('FIXME');
  });
});
