import type { Criterion, TaskCheck } from '../core/checks/task/form';
import { idFrom } from '../core/document/id';
import { frame } from './frame';

/** A criterion by its words, its levels with their points, and what the policy says to it. */
const criterion = (name: string, text: string, levels: readonly [string, number][], quote: string): Criterion => ({
  id: idFrom('c', 'demo', 'drill', name),
  text,
  levels: levels.map(([level, points], at) => ({ id: idFrom('l', 'demo', 'drill', name, at), text: level, points })),
  quotes: [{ text: quote }],
});

/** A damaged tool is taken in and its log entry written: a task written by hand, its marks suggested and confirmed. */
export const DRILL: TaskCheck = {
  ...frame('drill', 'Take the drill in, and write the entry for the log', { points: 4 }),
  kind: 'task',
  setting:
    'Saturday, ten minutes before closing. A member brings a cordless drill back and says at once that it made a noise and then stopped. You are alone at the desk; the desk lead is in the workshop. Say what you do, step by step, and write the entry.',
  handIn: { words: { least: 30, most: 200 }, files: { most: 2, kinds: ['pictures'] } },
  criteria: [
    criterion(
      'thank',
      'Thank the member for telling you before anything else.',
      [
        ['Thanks the member first', 1],
        ['Thanks the member later on, or stays merely polite', 0.5],
        ['Does not thank, or blames', 0],
      ],
      'Thank the borrower for telling you.',
    ),
    criterion(
      'battery',
      'Take the battery out, put a blue tag on the drill and lay it on the repair shelf.',
      [
        ['Battery out, blue tag, repair shelf', 2],
        ['One or two of these', 1],
        ['None of these', 0],
      ],
      'Unplug the tool or take the battery out.',
    ),
    criterion(
      'words',
      'Write down what happened in the member’s own words, with a photograph of the damage.',
      [
        ['In the member’s own words, and a photograph', 2],
        ['One of the two', 1],
        ['Neither', 0],
      ],
      'Put a blue tag on it and write down what happened in the borrower’s own words.',
    ),
    criterion(
      'cost',
      'Say that the member pays half of the repair, at most £30.',
      [
        ['Half of the repair, at most £30', 2],
        ['Half, without the £30, or another sum', 1],
        ['Nothing of what it costs, or the whole repair', 0],
      ],
      'A borrower who reports damage honestly pays half of the repair, at most £30.',
    ),
    criterion(
      'lead',
      'Enter the damage in the log and tell the desk lead on the same day.',
      [
        ['Log and desk lead, the same day', 2],
        ['One of the two', 1],
        ['Neither', 0],
      ],
      'Enter the damage in the log and tell the desk lead on the same day.',
    ),
  ],
  criteriaShown: true,
  model:
    'I thank her for telling me at once. I take the battery out, put a blue tag on the drill and lay it on the repair shelf. I write down in her own words: “It made a noise and then it stopped”, and take a photograph of the housing. I tell her that she pays half of the repair, at most £30. Before I lock up I enter the damage in the log and tell the desk lead, today.',
  lastWord: 'confirmed',
  keepDays: 365,
  quotes: [],
};

/** What volunteers handed in to it; a file is a small picture. */
export const HANDED: readonly { name: string; text: string; file?: string }[] = [
  {
    name: 'Rosa Finch',
    text: 'I say thank you for telling me straight away. Then I take the battery out of the drill, put a blue tag on it and lay it on the repair shelf. I take a photograph. In the log I write: “Member says it made a noise and then it stopped, while drilling a wall plug.” I explain that she pays half of the repair and never more than £30. After closing I tell the desk lead and show him the entry.',
    file: 'drill-housing.png',
  },
  {
    name: 'Bilal Harrow',
    text: 'I ask the member what she has done with the drill, because it was fine when she took it. I put a blue tag on it. She has to pay for the repair, I will find out how much it is. I write “drill broken” into the log and put it on the shelf for the next shift.',
  },
  {
    name: 'Nuala Penn',
    text: 'First I thank her. I put the drill on the repair shelf with a blue tag, the battery is out. She pays half of the repair. I enter it in the log and tell the desk lead before I go home, so that it is still the same day and he can decide if the tool is needed on Monday.',
  },
];
