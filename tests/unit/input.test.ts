import { describe, expect, it } from 'vitest';
import { checkBriefInput } from '../../server/inputs/brief';
import { ChangesInput, NewCourseInput, SinceInput, TextSourceInput, VersionInput } from '../../server/inputs/course';
import { checkInput } from '../../server/inputs/check';
import { MemberInput, PersonInput, SignInAsInput, SignInInput } from '../../server/inputs/people';
import { say, worded } from '../../server/words/problems';

const change = { id: 'xabcdefghij2', group: 'gabcdefghij2', operation: { type: 'remove', id: 'labcdefghij2' } };

describe('what people and programs send', () => {
  it.each<[string, Parameters<typeof checkInput>[0], unknown]>([
    ['changes', ChangesInput, { since: 0, changes: [change] }],
    ['changes with a name', ChangesInput, { since: 4, what: 'title', changes: [] }],
    ['a course', NewCourseInput, { title: 'Lending', language: 'de' }],
    ['since', SinceInput, { since: 12 }],
    ['text', TextSourceInput, { title: 'Notes', text: 'Wipe the saw.' }],
    ['a version', VersionInput, { name: 'Outline accepted' }],
    ['a sign-in', SignInInput, { login: 'ines', password: 'x' }],
    ['a person of the demo', SignInAsInput, { person: 'pinesmarlowa' }],
    ['somebody new', PersonInput, { name: 'Noor', login: 'noor.abel', password: 'ten letters' }],
    ['a part', MemberInput, { person: 'pinesmarlowa', role: 'none' }],
  ])('%s is taken', (_, kind, value) => expect(checkInput(kind as never, value)).toMatchObject({ ok: true }));

  it.each<[string, Parameters<typeof checkInput>[0], unknown, string | undefined]>([
    ['an unknown field', NewCourseInput, { title: 'A', owner: 'me' }, 'owner'],
    ['an empty title', NewCourseInput, { title: '' }, 'title'],
    ['a language we do not write', NewCourseInput, { title: 'A', language: 'tlh' }, 'language'],
    ['no number', SinceInput, { since: 'three' }, 'since'],
    ['a negative number', SinceInput, { since: -1 }, 'since'],
    ['nothing at all', SinceInput, {}, 'since'],
    ['no object', SinceInput, 'since', undefined],
    ['a list', SinceInput, [1], undefined],
    ['null', SinceInput, null, undefined],
    ['an id that is none', ChangesInput, { since: 0, changes: [{ ...change, id: '../../etc' }] }, 'changes.0.id'],
    [
      'an operation that is text',
      ChangesInput,
      { since: 0, changes: [{ ...change, operation: 'drop table' }] },
      'changes.0.operation',
    ],
    [
      'a field beside the operation',
      ChangesInput,
      { since: 0, changes: [{ ...change, actor: { person: 'x' } }] },
      'changes.0.actor',
    ],
    ['too many changes', ChangesInput, { since: 0, changes: Array.from({ length: 3001 }, () => change) }, 'changes'],
    ['a megabyte and more', TextSourceInput, { title: 'A', text: 'x'.repeat(1_000_001) }, 'text'],
    ['a short password', PersonInput, { name: 'N', login: 'noor', password: 'short' }, 'password'],
    ['a login with blanks', PersonInput, { name: 'N', login: 'noor abel', password: 'ten letters' }, 'login'],
    ['a part there is not', MemberInput, { person: 'pinesmarlowa', role: 'owner' }, 'role'],
  ])('%s is refused, and the place named', (_, kind, value, place) => {
    const checked = checkInput(kind as never, value);
    expect(checked).toMatchObject({ ok: false, problem: { code: 'bad-input' } });
    if (!checked.ok) expect(checked.problem.place).toBe(place);
  });

  it('what a change is called is shortened, never a reason to refuse its words', () => {
    const called = (what: unknown) => checkInput(ChangesInput, { since: 0, changes: [change], what });
    expect(called(`title “${'long 🙂'.repeat(100)}”`)).toMatchObject({ ok: true });
    for (const [what, kept] of [
      ['x'.repeat(80), 'x'.repeat(80)],
      ['x'.repeat(81), `${'x'.repeat(79)}…`],
      ['🙂'.repeat(400), `${'🙂'.repeat(79)}…`],
      ['', undefined],
    ]) {
      const checked = called(what);
      expect(checked.ok && checked.value.what).toBe(kept);
    }
    expect(called(['a list'])).toMatchObject({ ok: false });
  });

  it('a brief keeps its own words for what is wrong', () => {
    expect(checkBriefInput({ minutes: 0 })).toMatchObject({
      ok: false,
      problem: { code: 'bad-brief', place: 'minutes' },
    });
    expect(checkBriefInput({ minutes: 10, modules: 2 })).toMatchObject({ ok: false, problem: { code: 'two-sizes' } });
    expect(checkBriefInput({ minutes: 10, known: ['till'] })).toMatchObject({ ok: true });
  });
});

describe('problems in words', () => {
  it('say what happened without codes, and begin and end like sentences', () => {
    for (const code of worded.problems) {
      const said = say({
        code,
        parameters: {
          what: 'title',
          extension: 'xyz',
          format: 'pdf',
          megabytes: 70,
          kinds: 'PNG, JPG',
          megapixels: 3600,
          limit: 64,
          pages: 6,
          words: 10,
          least: 120,
          rule: 'length',
          version: 2,
          known: 1,
          reason: 'id-twice',
          millions: 24,
          status: 404,
          seconds: 20,
          type: 'image/png',
          login: 'ines',
          said: '550 No such mailbox',
          lesson: 'Ladders',
        },
      });
      expect(said).toMatch(/^["\p{Lu}].*\.$/su);
      expect(said).not.toMatch(/undefined|NaN|\{/);
    }
  });
  it('name the place when there is one', () =>
    expect(say({ code: 'empty', place: 'notes.md' })).toBe(
      'notes.md: the file is empty (0 bytes). Check that it was saved or copied completely.',
    ));
});
