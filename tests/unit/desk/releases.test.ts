import { describe, expect, it } from 'vitest';
import { checksIn, lessonsOf } from '../../../core/learning/view';
import { USUAL_RULES } from '../../../core/learning/rules';
import { learnerDesk } from '../../../server/desk/learners';
import { NOTHING_HANDED } from '../../data';
import { newsDesk } from '../../../server/desk/news';
import { releaseDesk } from '../../../server/desk/releases';
import { releasesIn } from '../../../server/database/releases';
import { emptyCourse } from '../../../core/course/course';
import { aBrief, anId, optionsOf } from '../../builders';
import { aChange, aDesk, INES, TOM } from '../../data';

const usual = { note: '', access: 'link' as const, rules: USUAL_RULES, move: false };
let serial = 0;
const anEvent = (lesson: string, check?: string, option?: string) => ({
  id: anId(`event ${serial++}`),
  at: 5,
  lesson,
  ...(check && option ? { kind: 'answer' as const, check, response: option } : { kind: 'read' as const }),
});

/** A desk with a course that is released once. */
function released() {
  const desk = aDesk();
  const now = () => desk.clock.at;
  const news = newsDesk();
  const releases = releaseDesk(desk.db, desk.desk, now);
  const learners = learnerDesk(desk.db, releases, news, now, NOTHING_HANDED);
  const first = releases.make(desk.id, usual, INES);
  const { view, keys } = releases.frozen(first.id);
  return {
    ...desk,
    releases,
    learners,
    news,
    first,
    view,
    keys,
    again: () => learnerDesk(desk.db, releases, news, now, NOTHING_HANDED),
  };
}

describe('a release', () => {
  it('is frozen: what is changed afterwards reaches learners with the next one', () => {
    const { desk, id, releases, first, view } = released();
    desk.post(
      id,
      [aChange({ type: 'set', id: anId('First one'), field: 'title', value: 'Changed since', was: 'First one' })],
      0,
    );
    expect(releases.frozen(first.id).view).toEqual(view);
    expect(releases.meaning(id)).toEqual({
      since: 1,
      lessons: {
        same: [anId('First two'), anId('Second one'), anId('Second two')],
        changed: [anId('First one')],
        added: [],
        gone: [],
      },
      underWay: 0,
    });
    const second = releases.make(id, usual, INES);
    expect(second.number).toBe(2);
    expect(lessonsOf(releases.frozen(second.id).view)[0].title).toBe('Changed since');
    expect(releases.current(id)?.number).toBe(2);
    expect(releases.standing(id)).toEqual({
      newest: { number: 2, made_at: second.made_at, withdrawn_at: null },
      learners: 0,
    });
    expect(releases.list(id).map((row) => row.number)).toEqual([2, 1]);
    expect(second.figures).toMatchObject({ lessons: 4, checks: 1 });
  });

  it('withdrawn gives way to the one before, and to nothing when there is none', () => {
    const { id, releases, first } = released();
    const second = releases.make(id, usual, INES);
    expect(releases.setAccess(id, second.id, 'link', true).withdrawn_at).not.toBeNull();
    expect(releases.current(id)?.id).toBe(first.id);
    releases.setAccess(id, first.id, 'nobody', false);
    expect(releases.current(id)).toBeUndefined();
    releases.setAccess(id, second.id, 'people', false);
    expect(releases.current(id)?.id).toBe(second.id);
  });

  it('has one address per course, and ids of options that stay from release to release', () => {
    const { id, releases, first, keys } = released();
    const link = releases.link(id)!;
    const second = releases.make(id, usual, INES);
    expect(releases.link(id)).toBe(link);
    expect(releases.courseOf(link)).toBe(id);
    expect(releases.courseOf('wnothing')).toBeUndefined();
    expect(releases.frozen(second.id).keys).toEqual(keys);
    expect(() => releases.get('uanotherone', first.id)).toThrow('no-such-release');
    expect(() => releases.frozen('rnothing')).toThrow('no-such-release');
  });

  it('of nothing is refused', () => {
    const { desk, releases } = released();
    expect(() => releases.make(desk.adopt(emptyCourse('uemptyaaaaaa', 'Empty', aBrief()), INES), usual, INES)).toThrow(
      'nothing-to-release',
    );
  });
});

describe('learners', () => {
  it('are taken in by name or as a person of this installation, each with one place', () => {
    const { id, learners, first } = released();
    const { learner, key } = learners.begin(id, first, { name: '  Ada ' });
    expect(learner.name).toBe('Ada');
    expect(learners.byKey(id, key)?.id).toBe(learner.id);
    expect(learners.byKey(id, `${key}x`)).toBeUndefined();
    learners.begin(id, first, { person: { id: TOM, name: 'Tom Ashby' } });
    expect(learners.byPerson(id, TOM)?.name).toBe('Tom Ashby');
    expect(() => learners.begin(id, first, { person: { id: TOM, name: 'Tom Ashby' } })).toThrow();
    expect(() => learners.begin(id, first, { name: ' ' })).toThrow('name-wanted');
    expect(
      learners
        .lines(id)
        .map((line) => line.name)
        .sort(),
    ).toEqual(['Ada', 'Tom Ashby']);
  });

  it('are told only what may be known, and resume where they were', async () => {
    const { id, learners, first, view, keys, again } = released();
    const { learner } = learners.begin(id, first, { name: 'Ada' });
    const [one] = lessonsOf(view);
    const [check] = checksIn(one);
    const { right, wrong } = optionsOf(keys, check);
    const told = await learners.take(learner, [anEvent(one.id, check, wrong[0])]);
    expect(JSON.stringify(told)).not.toContain(right);
    const settled = await learners.take(learner, [anEvent(one.id, check, wrong[1]), anEvent(one.id)]);
    expect(settled.answers[check]).toMatchObject({ settled: true, score: 0, solution: right });
    expect(settled.read).toEqual([one.id]);
    for (const desk of [learners, again()])
      expect(desk.told(learner)).toMatchObject({ read: [one.id], at: one.id, answers: { [check]: { tries: 2 } } });
    expect(learners.lines(id)[0]).toMatchObject({
      release: 1,
      progress: { done: 1, checks: { right: 0, of: 1 }, completed: false },
    });
  });

  it('send the same thing twice and it counts once; attempts are never changed', async () => {
    const { db, id, learners, first, view } = released();
    const { learner } = learners.begin(id, first, { name: 'Ada' });
    const event = anEvent(lessonsOf(view)[0].id);
    await Promise.all([learners.take(learner, [event]), learners.take(learner, [event, event])]);
    expect(releasesIn(db).attempts(learner.id)).toHaveLength(1);
    expect(() => db.prepare('update attempt set answer = ?').run('x')).toThrow('only ever added');
  });

  it('cannot do what the release does not hold; the rest is taken, and what was not is named', async () => {
    const { db, id, learners, first, view, keys } = released();
    const { learner } = learners.begin(id, first, { name: 'Ada' });
    const [one, two] = lessonsOf(view);
    const [check] = checksIn(one);
    const bad = [
      anEvent('lnothing'),
      anEvent(one.id, check, 'anothing'),
      anEvent(one.id, 'knothing', 'anothing'),
      anEvent(two.id, check, optionsOf(keys, check).right),
    ];
    const told = await learners.take(learner, [bad[0], anEvent(one.id), ...bad.slice(1)]);
    expect(told.read).toEqual([one.id]);
    expect(told.refused).toEqual(bad.map((event) => ({ id: event.id, code: 'gone' })));
    expect(releasesIn(db).attempts(learner.id)).toHaveLength(1);
  });

  it('in a forced order come to a lesson when the one before is done, whatever is sent', async () => {
    const { db, id, releases, learners, view, keys } = released();
    const forced = releases.make(
      id,
      { ...usual, rules: { ...usual.rules, lesson: { kind: 'answered' }, order: 'forced' } },
      INES,
    );
    const { learner } = learners.begin(id, forced, { name: 'Ada' });
    const [one, two, three] = lessonsOf(view);
    const [check] = checksIn(one);
    const early = anEvent(three.id);
    expect((await learners.take(learner, [early])).refused).toEqual([{ id: early.id, code: 'lesson-closed' }]);
    // Read, but its check is open: the next stays shut; with the answer in the same packet it opens.
    const tooSoon = anEvent(two.id);
    expect((await learners.take(learner, [anEvent(one.id), tooSoon])).refused).toMatchObject([
      { code: 'lesson-closed' },
    ]);
    expect(
      (await learners.take(learner, [anEvent(one.id, check, optionsOf(keys, check).right), anEvent(two.id)])).refused,
    ).toBeUndefined();
    // Sent apart but at once: the second knows of the first.
    const both = await Promise.all([
      learners.take(learner, [anEvent(three.id)]),
      learners.take(learner, [anEvent(lessonsOf(view)[3].id)]),
    ]);
    expect(both.map((told) => told.refused)).toEqual([undefined, undefined]);
    expect(releasesIn(db).attempts(learner.id)).toHaveLength(5);
  });

  it('spoil nothing for the others when writing theirs fails', async () => {
    const { db, id, learners, first, view } = released();
    const [ada, bo] = ['Ada', 'Bo'].map((name) => learners.begin(id, first, { name }).learner);
    db.exec(
      `create temp trigger broken before insert on attempt when new.learner_id = '${bo.id}' begin select raise (abort, 'no'); end`,
    );
    const [lesson] = lessonsOf(view);
    const [good, bad] = await Promise.allSettled([
      learners.take(ada, [anEvent(lesson.id)]),
      learners.take(bo, [anEvent(lesson.id)]),
    ]);
    expect([good.status, bad.status]).toEqual(['fulfilled', 'rejected']);
    expect(learners.told(ada).read).toEqual([lesson.id]);
    db.exec('drop trigger broken');
    await learners.take(bo, [anEvent(lesson.id)]);
    expect(learners.told(bo).read).toEqual([lesson.id]);
  });

  it('are taken out with all they did, or without their name', async () => {
    const { db, id, learners, first, view } = released();
    const [ada, bo] = ['Ada', 'Bo'].map((name) => learners.begin(id, first, { name }));
    for (const { learner } of [ada, bo]) await learners.take(learner, [anEvent(lessonsOf(view)[1].id)]);
    expect(learners.remove(id, ada.learner.id, true)).toBe(1);
    expect(learners.byKey(id, ada.key)).toBeUndefined();
    expect(learners.remove(id, bo.learner.id, false)).toBe(1);
    expect(learners.byKey(id, bo.key)).toBeUndefined();
    expect(learners.lines(id)).toMatchObject([{ name: '', progress: { done: 1 } }]);
    expect(db.prepare('select count(*) as rows from attempt').get()).toEqual({ rows: 1 });
    expect(() => learners.remove(id, ada.learner.id, true)).toThrow('no-such-learner');
    expect(() => learners.remove('uanotherone', bo.learner.id, true)).toThrow('no-such-learner');
  });

  it('two hundred at once are written together, every answer there', async () => {
    const { db, id, learners, first, view } = released();
    const all = Array.from({ length: 200 }, (_, at) => learners.begin(id, first, { name: `Learner ${at}` }).learner);
    const heard: string[] = [];
    await Promise.all(
      all.flatMap((learner) =>
        lessonsOf(view).map((lesson) =>
          learners.take(learner, [anEvent(lesson.id)]).then(() => heard.push(learner.id)),
        ),
      ),
    );
    expect(heard).toHaveLength(800);
    expect((db.prepare('select count(*) as count from attempt').get() as { count: number }).count).toBe(800);
    expect(learners.lines(id).every((line) => line.progress.done === 3)).toBe(true);
  });

  it('stay on their release, or go on with the next: what did not change stays done', async () => {
    const { desk, id, releases, learners, first, view, keys } = released();
    const { learner, key } = learners.begin(id, first, { name: 'Ada' });
    const [one, two] = lessonsOf(view);
    const [check] = checksIn(one);
    await learners.take(learner, [
      anEvent(one.id),
      anEvent(one.id, check, optionsOf(keys, check).right),
      anEvent(two.id),
    ]);
    const [block] = two.blocks;
    desk.post(
      id,
      [
        aChange({
          type: 'set',
          id: block.id,
          field: 'body',
          value: { text: [{ type: 'text', text: 'New words.' }] },
          was: desk.load(id).course.modules[0].lessons[1].blocks[0].body,
        }),
      ],
      0,
    );
    releases.make(id, usual, INES);
    expect(learners.told(learners.byKey(id, key)!).read).toEqual([one.id, two.id]);
    const third = releases.make(id, { ...usual, move: true }, INES);
    const moved = learners.byKey(id, key)!;
    expect(moved.release_id).toBe(third.id);
    expect(learners.told(moved)).toMatchObject({ read: [one.id], answers: { [check]: { score: 1 } } });
    expect(learners.lines(id)[0]).toMatchObject({ release: 3, progress: { done: 1 } });
  });
});

describe('news', () => {
  it('reach those who watch a course, until they leave', async () => {
    const { id, news, learners, first, view } = released();
    const heard: string[] = [];
    const leave = news.watch(id, (told) => heard.push(told.kind));
    const { learner } = learners.begin(id, first, { name: 'Ada' });
    await learners.take(learner, [anEvent(lessonsOf(view)[0].id)]);
    const broken = news.watch(id, () => {
      throw new Error('closed');
    });
    news.tell(id, { kind: 'learners' });
    broken();
    leave();
    news.tell(id, { kind: 'course', revision: 3 });
    expect(heard).toEqual(['learners', 'learners', 'learners']);
  });
});
