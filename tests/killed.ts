// A process that posts changes one after another and says which were confirmed, until it is killed. Used by
// kill.test.ts.
import { openDatabase } from '../server/database/open';
import { courseDesk, OPERATION_VERSION } from '../server/desk/courses';
import { freshId } from '../server/ids';

const [folder, id] = process.argv.slice(2);
const desk = courseDesk(openDatabase(folder), () => Date.now());
const { course, revision } = desk.load(id);
let was = course.title;
for (let number = revision + 1; number < revision + 2000; number++) {
  const change = freshId('x');
  const value = `Title ${number}`;
  desk.post(
    id,
    [
      {
        id: change,
        group: freshId('g'),
        actor: { person: 'pinesmarlowa' },
        version: OPERATION_VERSION,
        operation: { type: 'set', id, field: 'title', value, was },
      },
    ],
    number - 1,
  );
  was = value;
  process.stdout.write(`${change}\n`);
}
