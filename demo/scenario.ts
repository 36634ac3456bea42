import type { ScenarioCheck } from '../core/checks/scenario/form';
import { idFrom } from '../core/document/id';
import { frame } from './frame';

const id = (...names: string[]) => idFrom('a', 'demo', 'sander', ...names);
const scene = (name: string) => idFrom('s', 'demo', 'sander', name);
const choice = (
  name: string,
  text: string,
  follows: string,
  { to, score = 0, quote }: { to?: string; score?: number; quote?: string } = {},
): ScenarioCheck['scenes'][number]['choices'][number] => ({
  id: id(name),
  text,
  score,
  follows,
  quotes: quote ? [{ text: quote }] : [],
  ...(to && { to: scene(to) }),
});

/** A borrower who owes a fee and stands in front of others: a story written by hand, with two ends that are good. */
export const SANDER: ScenarioCheck = {
  ...frame('sander', 'The sander comes back late', { level: 'decide', points: 3 }),
  kind: 'scenario',
  role: 'You are a volunteer at the desk on a Saturday morning. A fee of up to eight pounds you may let go by yourself; more is for the desk lead.',
  scenes: [
    {
      id: scene('desk'),
      title: 'He is at the desk',
      text: 'A member puts the sander down, twelve days late. “I know, I know. What do I owe you?” Two others wait behind him.',
      choices: [
        choice(
          'tell',
          'Tell him what he owes, and that others had to wait for it',
          'He goes red and says that everybody can hear you now. The two behind him look at the floor.',
          { to: 'argue', score: -1 },
        ),
        choice(
          'aside',
          'Take him aside and ask what happened',
          'He breathes out and tells you. The others do not hear it.',
          {
            to: 'aside',
            score: 2,
            quote: 'Do not argue about a fee in front of other members; take the borrower aside.',
          },
        ),
        choice(
          'later',
          'Ask him to come back when it is quieter',
          'He nods, takes the sander with him again, and comes on Tuesday: three days later still.',
          { to: 'fee' },
        ),
      ],
    },
    {
      id: scene('argue'),
      title: 'It gets loud',
      text: '“Twelve days! As if nobody else was ever late.” One of those who wait leaves.',
      choices: [
        choice(
          'sorry',
          'Say that you are sorry, and take him aside now',
          'He comes along. It takes a while until he talks.',
          {
            to: 'aside',
            score: 1,
          },
        ),
        choice(
          'insist',
          'Say that the rules are the same for all, and wait for the money',
          'He puts the sander on the counter and goes. The fee stands in the book, and he has not been back.',
        ),
      ],
    },
    {
      id: scene('aside'),
      title: 'Aside',
      text: 'His wife was in hospital. He has most of it with him and asks whether you could let the last fourteen pounds go.',
      choices: [
        choice(
          'let',
          'Let it go: anybody would',
          'You had no right to. The desk lead has to take your word back on Monday.',
          {
            to: 'end',
          },
        ),
        choice(
          'lead',
          'Ask the desk lead, and say so',
          'She nods, and says what she will do. You came to her with the case, not with a promise.',
          {
            to: 'end',
            score: 2,
          },
        ),
        choice('all', 'Ask for all of it: it is what the list says', 'He pays with his card, without a word.', {
          score: 0,
        }),
      ],
    },
    {
      id: scene('fee'),
      title: 'Tuesday',
      text: 'The fee has grown meanwhile. He is alone at the desk with you and asks whether it could be less.',
      choices: [
        choice(
          'lead2',
          'Ask the desk lead, and tell him that you do',
          'She lets the three days go that you had added.',
          {
            to: 'end',
            score: 1,
          },
        ),
        choice(
          'less',
          'Take the three days off yourself',
          'That is more than eight pounds. It was not yours to give.',
          {
            to: 'end',
          },
        ),
      ],
    },
    {
      id: scene('end'),
      title: 'He stays',
      text: 'He pays what was settled, and borrows a ladder the week after.',
      choices: [],
    },
  ],
  debrief: 'A fee is settled quietly, and by whoever may settle it. What you promise, somebody has to keep.',
};
