import { describe, expect, it } from 'vitest';
import { allLessons, type Course, type Lesson, type Objective } from '../../../core/course/course';
import { applyAll } from '../../../core/course/operations';
import { pullRows, type OutlineNodes } from '../../../core/course/taking';
import { validateCourse } from '../../../core/course/validate';
import { sideBySide } from '../../../core/course/beside';
import { aCourse, aLesson, aModule, anId } from '../../builders';

const aim = (name: string, text: string): Objective => ({
  id: anId(name),
  verb: 'carry-out',
  object: text,
  level: 'apply',
  text,
  evidence: [],
});
const lesson = (title: string, changes: Partial<Lesson> = {}): Lesson => ({ ...aLesson(title, []), ...changes });
const named = (side: Parameters<typeof sideBySide>[0]) =>
  new Map(
    side.modules.flatMap((module) => [
      [module.id, module.title] as const,
      ...module.lessons.map((each) => [each.id, each.title] as const),
    ]),
  );
/** "Mine = Other" a row; # before a module. */
function drawn(mine: Parameters<typeof sideBySide>[0], other: Parameters<typeof sideBySide>[1]): string[] {
  const [left, right] = [named(mine), named(other)];
  const sign = { same: '=', alike: '~', mine: '|', other: '|' };
  return sideBySide(mine, other).map(
    (row) =>
      `${row.kind === 'module' ? '# ' : ''}${row.mine ? left.get(row.mine) : '-'} ${sign[row.fit]}${row.elsewhere ? '^' : ''} ${row.other ? right.get(row.other) : '-'}`,
  );
}
const side = (modules: OutlineNodes['modules'], objectives: Objective[] = []): OutlineNodes => ({
  modules,
  objectives,
});

describe('two outlines side by side', () => {
  const mine = side([
    aModule('At the door', [lesson('Greeting guests'), lesson('Our own story'), lesson('Handing out badges')]),
    aModule('At the desk', [lesson('Keys')]),
  ]);
  const other = side([
    aModule('Door and hall', [
      lesson('Greeting a guest'),
      lesson('Lost badges'),
      lesson('Badges', { plannedPassages: ['p1', 'p2'] }),
      lesson('Keys'),
    ]),
    aModule('Parcels', [lesson('Taking a parcel in'), lesson('Giving it out')]),
  ]);

  it('are matched by words and passages, in my order, with what only the other has where it stands there', () => {
    const withPassages = side(
      mine.modules.map((module) => ({
        ...module,
        lessons: module.lessons.map((each) =>
          each.title === 'Handing out badges' ? { ...each, plannedPassages: ['p2', 'p3', 'p1'] } : each,
        ),
      })),
    );
    expect(drawn(withPassages, other)).toEqual([
      '# At the door ~ Door and hall',
      'Greeting guests ~ Greeting a guest',
      '- | Lost badges',
      'Our own story | -',
      'Handing out badges ~ Badges',
      '# - | Parcels',
      '- | Taking a parcel in',
      '- | Giving it out',
      '# At the desk | -',
      'Keys =^ Keys',
    ]);
  });

  it('tell a row apart that was worded anew in one of them', () => {
    const reworded = side(
      other.modules.map((module) => ({ ...module, purpose: module.title === 'Parcels' ? 'New' : '' })),
    );
    expect(drawn(reworded, other).filter((row) => row.includes('~'))).toEqual(['# Parcels ~ Parcels']);
  });

  it('that are the same are the same row by row, and each row of both comes once', () => {
    expect(drawn(other, other).every((row) => row.includes('='))).toBe(true);
    const rows = sideBySide(mine, other);
    const ids = (pick: 'mine' | 'other') => rows.flatMap((row) => row[pick] ?? []);
    for (const [given, found] of [
      [mine, ids('mine')],
      [other, ids('other')],
    ] as const) {
      expect(new Set(found).size).toBe(found.length);
      expect([...found].sort()).toEqual([...named(given).keys()].sort());
    }
  });

  it('of 300 lessons each are laid beside each other whole', () => {
    const large = (word: string) =>
      side(
        Array.from({ length: 20 }, (_, at) =>
          aModule(
            `${word} ${at}`,
            Array.from({ length: 15 }, (__, index) => lesson(`${word} of matter ${at * 15 + index}`)),
          ),
        ),
      );
    const rows = sideBySide(large('Rules'), large('Cases'));
    expect(rows.filter((row) => row.mine !== undefined)).toHaveLength(320);
    expect(rows.filter((row) => row.other !== undefined)).toHaveLength(320);
  });
});

describe('pulling rows', () => {
  const pulled = (course: Course, other: OutlineNodes, wanted: readonly string[], place?: string): Course => {
    const made = applyAll(course, pullRows(course, other, sideBySide(course, other), new Set(wanted), place));
    if (!made.ok) throw new Error(made.problem.code);
    expect(validateCourse(made.course)).toEqual([]);
    const undone = applyAll(made.course, made.inverses);
    expect(undone.ok && undone.course).toEqual(course);
    return made.course;
  };
  const titles = (course: Course) =>
    course.modules.map((module) => [module.title, ...module.lessons.map((each) => each.title)]);
  const course = (): Course => {
    const base = aCourse();
    return {
      ...base,
      modules: [
        aModule('At the door', [lesson('Greeting'), lesson('Badges')]),
        aModule('At the desk', [lesson('Keys')]),
      ],
      checks: [],
      objectives: [],
      takes: [],
      glossary: [],
    };
  };

  it('puts rows behind the one pointed at, a lesson first in a module, and a module behind that of a lesson', () => {
    const other = side([
      aModule('At the door', [lesson('Greeting'), lesson('Umbrellas')]),
      aModule('In the cellar', [lesson('Boilers')]),
    ]);
    const ids = [anId('Umbrellas'), anId('In the cellar'), anId('Boilers')];
    expect(titles(pulled(course(), other, ids.slice(0, 1), anId('Keys')))).toEqual([
      ['At the door', 'Greeting', 'Badges'],
      ['At the desk', 'Keys', 'Umbrellas'],
    ]);
    expect(titles(pulled(course(), other, ids.slice(0, 1), anId('At the desk')))[1]).toEqual([
      'At the desk',
      'Umbrellas',
      'Keys',
    ]);
    expect(titles(pulled(course(), other, ids.slice(1), anId('Greeting')))).toEqual([
      ['At the door', 'Greeting', 'Badges'],
      ['In the cellar', 'Boilers'],
      ['At the desk', 'Keys'],
    ]);
  });

  it('puts a lesson behind what it stands behind there, with its objective and questions', () => {
    const other: OutlineNodes = {
      ...side(
        [
          aModule('At the door', [
            lesson('Greeting'),
            lesson('Coats', { objectiveIds: [anId('o1')] }),
            lesson('Umbrellas'),
          ]),
        ],
        [aim('o1', 'Take a coat'), aim('o2', 'Never asked for')],
      ),
      answers: [{ id: anId('a1'), topic: 'Coats', question: 'What of wet ones?', text: '', lesson: anId('Coats') }],
    };
    const made = pulled(course(), other, [anId('Coats')]);
    expect(titles(made)).toEqual([
      ['At the door', 'Greeting', 'Coats', 'Badges'],
      ['At the desk', 'Keys'],
    ]);
    expect(made.objectives.map(({ text }) => text)).toEqual(['Take a coat']);
    expect(made.answers?.map(({ question }) => question)).toEqual(['What of wet ones?']);
  });

  it('takes a module whole, one alone goes into the module above, and all at once keep their order', () => {
    const other = side([
      aModule('Before', [lesson('Arriving')]),
      aModule('At the door', [lesson('Greeting'), lesson('Coats'), lesson('Umbrellas')]),
      aModule('At night', [lesson('Locking up'), lesson('Lamps')]),
    ]);
    const all = other.modules.flatMap((module) => [module.id, ...module.lessons.map(({ id }) => id)]);
    expect(titles(pulled(course(), other, all))).toEqual([
      ['Before', 'Arriving'],
      ['At the door', 'Greeting', 'Coats', 'Umbrellas', 'Badges'],
      ['At night', 'Locking up', 'Lamps'],
      ['At the desk', 'Keys'],
    ]);
    expect(titles(pulled(course(), other, [anId('Lamps')]))).toEqual([
      ['At the door', 'Greeting', 'Badges', 'Lamps'],
      ['At the desk', 'Keys'],
    ]);
    expect(titles(pulled({ ...course(), modules: [] }, other, [anId('Coats')]))).toEqual([['At the door', 'Coats']]);
  });

  it('brings an earlier version’s lesson back with its page and checks', () => {
    const earlier = aCourse();
    const check = earlier.checks[0];
    const first = earlier.modules[0].lessons[0];
    const now: Course = {
      ...earlier,
      checks: earlier.checks.slice(1),
      modules: earlier.modules.map((module) => ({
        ...module,
        lessons: module.lessons.filter(({ id }) => id !== first.id),
      })),
    };
    const made = pulled(now, { modules: earlier.modules, objectives: earlier.objectives, checks: earlier.checks }, [
      first.id,
    ]);
    expect(allLessons(made).find(({ id }) => id === first.id)).toEqual(first);
    expect(made.checks.map(({ id }) => id)).toContain(check.id);
  });
});
