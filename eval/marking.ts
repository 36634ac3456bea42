import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { suggestMarks, type Held } from '../core/grading/suggest';
import { packFor } from '../server/language/packs';

/** Answers marked by hand, as `eval/marking/README.md` says: how near suggested marks come. */
interface Marked {
  name: string;
  held: Held;
  answers: { hand: string; text: string }[];
}

const LETTERS = 'fpm';

function readTask(path: string): Marked {
  const [head, ...answers] = readFileSync(path, 'utf8').split(/^## ?/m);
  const line = (name: string) => new RegExp(`^${name}: (.*)$`, 'm').exec(head)?.[1] ?? '';
  const criteria = [...head.matchAll(/^- (.*?) \| (.*?) \| (.*)$/gm)].map(([, text, full, partly], at) => ({
    id: `c${at}`,
    text,
    levels: [full, partly, 'It is missing.'].map((level, place) => ({
      id: LETTERS[place],
      text: level,
      points: 2 - place,
    })),
  }));
  return {
    name: path.split('/').pop()!.replace('.md', ''),
    held: { criteria, model: line('model'), prompt: `${/^# (.*)$/m.exec(head)?.[1] ?? ''}\n${line('setting')}` },
    answers: answers.map((each) => {
      const [hand, ...text] = each.split('\n');
      return { hand: hand.trim(), text: text.join('\n').trim() };
    }),
  };
}

const [folder = 'open', mode] = process.argv.slice(2);
const pack = packFor('en');
const sums = { all: 0, same: 0, far: 0, partly: 0, sure: 0, sureSame: 0, given: 0 };
for (const file of readdirSync(join('eval/marking', folder)).sort()) {
  const { name, held, answers } = readTask(join('eval/marking', folder, file));
  let same = 0;
  for (const { hand, text } of answers) {
    const suggested = suggestMarks(held, text, pack);
    const letters = suggested.map(({ level }) => level).join('');
    suggested.forEach(({ level, sure, words, share: found }, at) => {
      const off = Math.abs(LETTERS.indexOf(level) - LETTERS.indexOf(hand[at]));
      sums.all++;
      sums.same += Number(off === 0);
      same += Number(off === 0);
      sums.far += Number(off === 2);
      sums.partly += Number(hand[at] === 'p');
      sums.sure += Number(sure);
      sums.sureSame += Number(sure && off === 0);
      sums.given += Number(hand === 'mmmm' && level !== 'm');
      if (mode === '--list' && off > 0)
        console.log(
          `${name} ${hand} -> ${letters} [${at}] ${found.toFixed(2)} ${sure ? '' : '? '}${text.slice(0, 60)} | ${words.join(' / ').slice(0, 90)}`,
        );
    });
  }
  console.log(`${name}: ${same} of ${answers.length * held.criteria.length} the same`);
}
const share = (part: number, of: number) => `${((100 * part) / Math.max(1, of)).toFixed(1)} %`;
console.log(
  `${folder}: same level ${share(sums.same, sums.all)}, two levels apart ${share(sums.far, sums.all)}; always "partly" would reach ${share(sums.partly, sums.all)}; sure of ${share(sums.sure, sums.all)}, of these the same ${share(sums.sureSame, sums.sure)}; points for answers that are worth none: ${sums.given}`,
);
