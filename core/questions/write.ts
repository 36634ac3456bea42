import { imageElement, imageOf, qti, RESPONSE, type QtiItem } from '../checks/qti';
import { hasQti, qtiItemOf } from '../checks/qtis';
import type { Check } from '../checks/forms';
import { checksOn } from '../blocks/forms';
import { allLessons, type Course, type Lesson } from '../course/course';
import { drawsOf, isQuiz } from '../course/quizzes';
import { mediaName, mediaRefs } from '../document/media';
import { element, writeXml, type Element } from '../document/xml';
import { wordsFor, type Words } from '../words';
import { inVersion2, NAMES, type QtiVersion } from './names';

const XSI = 'http://www.w3.org/2001/XMLSchema-instance';
/** A check that QTI has an item for. */
type QtiCheck = Parameters<typeof qtiItemOf>[0];
const number = (value: number): string => String(Math.round(value * 10_000) / 10_000);

/**
 * The questions that stand in a course's lessons as a package of QTI, each a file (stories are left out: it has no item
 * for them), with a test that asks them lesson by
 * lesson; quizzes with their draw, their order and their time. Pictures are named by their hash under `media/`; the
 * files themselves are added by who has them. Source: 1EdTech, QTI 2.1 (2012) and 3.0 (2022).
 */
export function writeQti(course: Course, version: QtiVersion): Map<string, Uint8Array> {
  const { words } = wordsFor(course.language);
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  const lessons = allLessons(course);
  const asked = new Map<string, QtiCheck>();
  for (const id of lessons.flatMap(asksOn(course))) {
    const check = byId.get(id);
    if (check && hasQti(check)) asked.set(id, check);
  }
  const files = new Map<string, string>();
  for (const check of asked.values())
    files.set(`items/${check.id}.xml`, itemXml(check, course.language, version, words));
  files.set('test.xml', testXml(course, lessons, asked, version));
  files.set('imsmanifest.xml', manifestXml(course, [...asked.values()], version));
  const encoder = new TextEncoder();
  return new Map([...files].map(([name, text]) => [name, encoder.encode(text)]));
}

/** Ids of the checks that a lesson asks. */
const asksOn =
  (course: Course) =>
  (lesson: Lesson): string[] =>
    isQuiz(lesson) ? drawsOf(course, lesson).flatMap(({ from }) => from) : checksOn(lesson);

const written = (root: Element, version: QtiVersion): string => writeXml(version === '3.0' ? root : inVersion2(root));

const rootAttributes = (version: QtiVersion) => ({
  xmlns: NAMES[version].space,
  'xmlns:xsi': XSI,
  'xsi:schemaLocation': `${NAMES[version].space} ${NAMES[version].schema}`,
});

/** A check as an item of QTI. */
export function itemXml(check: QtiCheck, language: string, version: QtiVersion, words: Words): string {
  const item = qtiItemOf(check, words);
  const points = check.points ?? 1;
  const root = qti(
    'assessment-item',
    {
      ...rootAttributes(version),
      identifier: check.id,
      title: check.stem.slice(0, 200),
      'xml:lang': language,
      adaptive: 'false',
      'time-dependent': 'false',
    },
    [
      responseDeclaration(item),
      outcome('SCORE', 'float', points),
      ...(item.said?.length ? [outcome('FEEDBACK', 'identifier')] : []),
      ...(check.said ? [outcome('SAID', 'identifier')] : []),
      qti('item-body', {}, bodyOf(check, item, version)),
      ...processing(check, item, points),
      ...(item.said ?? []).map(({ id, text }) => feedback('FEEDBACK', id, text)),
      ...(['right', 'wrong'] as const).flatMap((id) => {
        const text = check.said?.[id];
        return text ? [feedback('SAID', id, text)] : [];
      }),
    ],
  );
  return written(root, version);
}

function responseDeclaration({ response }: QtiItem): Element {
  const { correct, mapping, ...attributes } = response;
  return qti('response-declaration', { identifier: RESPONSE, ...attributes }, [
    ...(correct.length > 0
      ? [
          qti(
            'correct-response',
            {},
            correct.map((value) => qti('value', {}, [value])),
          ),
        ]
      : []),
    ...(mapping
      ? [
          qti(
            'mapping',
            {
              'default-value': number(mapping.otherwise ?? 0),
              ...(mapping.bounds && {
                'lower-bound': number(mapping.bounds.lower),
                'upper-bound': number(mapping.bounds.upper),
              }),
            },
            mapping.entries.map(([key, value]) =>
              qti('map-entry', {
                'map-key': key,
                'mapped-value': number(value),
                ...(response['base-type'] === 'string' && { 'case-sensitive': 'false' }),
              }),
            ),
          ),
        ]
      : []),
  ]);
}

const outcome = (identifier: string, type: string, most?: number): Element =>
  qti(
    'outcome-declaration',
    {
      identifier,
      cardinality: 'single',
      'base-type': type,
      ...(most !== undefined && { 'normal-maximum': number(most) }),
    },
    type === 'float' ? [qti('default-value', {}, [qti('value', {}, ['0'])])] : [],
  );

/** Interactions that stand within a text have no prompt of their own. */
const INLINE = new Set(['qti-text-entry-interaction']);

function bodyOf(
  { stem, picture }: Check,
  { interaction, shows, rubric = [] }: QtiItem,
  version: QtiVersion,
): Element[] {
  const seen = picture && !shows ? [element('p', {}, [imageElement(picture)])] : [];
  const within = picture && shows ? [shows(imageOf(picture), version)] : [];
  const scorer =
    rubric.length > 0
      ? [
          qti('rubric-block', { view: 'scorer', use: 'scoring' }, [
            qti(
              'content-body',
              {},
              rubric.map((text) => element('p', {}, [text])),
            ),
          ]),
        ]
      : [];
  if (INLINE.has(interaction.name))
    return [...scorer, element('p', {}, [stem]), ...seen, element('p', {}, [interaction])];
  const asked = { ...interaction, children: [qti('prompt', {}, [stem]), ...within, ...(interaction.children ?? [])] };
  return [...scorer, ...seen, asked];
}

const set = (identifier: string, value: Element) => qti('set-outcome-value', { identifier }, [value]);
const base = (type: string, value: string) => qti('base-value', { 'base-type': type }, [value]);
const variable = (identifier: string) => qti('variable', { identifier });

function processing(check: Check, { scored, said }: QtiItem, points: number): Element[] {
  if (!scored) return [];
  const all = set('SCORE', base('float', number(points)));
  const condition =
    scored === 'match' ? qti('match', {}, [variable(RESPONSE), qti('correct', { identifier: RESPONSE })]) : scored;
  const score =
    condition === 'map'
      ? set('SCORE', qti('map-response', { identifier: RESPONSE }))
      : qti('response-condition', {}, [qti('response-if', {}, [condition, all])]);
  const general = check.said
    ? [
        qti('response-condition', {}, [
          qti('response-if', {}, [
            qti('gte', {}, [variable('SCORE'), base('float', number(points))]),
            set('SAID', base('identifier', 'right')),
          ]),
          qti('response-else', {}, [set('SAID', base('identifier', 'wrong'))]),
        ]),
      ]
    : [];
  const each = said?.length ? [set('FEEDBACK', variable(RESPONSE))] : [];
  return [qti('response-processing', {}, [score, ...each, ...general])];
}

const feedback = (of: string, identifier: string, text: string): Element =>
  qti('modal-feedback', { 'outcome-identifier': of, identifier, 'show-hide': 'show' }, [
    qti('content-body', {}, [element('p', {}, [text])]),
  ]);

/** The test: a section a lesson, in a quiz a section for each rule of its draw. */
function testXml(
  course: Course,
  lessons: readonly Lesson[],
  asked: ReadonlyMap<string, Check>,
  version: QtiVersion,
): string {
  const met = new Set<string>();
  // An item is asked once in a test: where it is met first.
  const refs = (ids: readonly string[]) =>
    ids.flatMap((id) => {
      if (met.has(id) || !asked.has(id)) return [];
      met.add(id);
      return [qti('assessment-item-ref', { identifier: id, href: `items/${id}.xml` })];
    });
  const section = (identifier: string, title: string, inside: Element[]) =>
    qti('assessment-section', { identifier, title: title || '-', visible: 'true' }, inside);
  const sections = lessons.flatMap((lesson): Element[] => {
    if (!isQuiz(lesson)) {
      const items = refs(checksOn(lesson));
      return items.length > 0 ? [section(`s${lesson.id}`, lesson.title, items)] : [];
    }
    const { minutes, mix, draw } = lesson.quiz;
    const rules = drawsOf(course, lesson).flatMap(({ take, from }, at): Element[] => {
      const items = refs(from);
      const chosen = Math.min(take, items.length);
      if (chosen === 0) return [];
      return [
        section(`s${lesson.id}r${at + 1}`, lesson.title, [
          ...(draw ? [qti('selection', { select: String(chosen) })] : []),
          ...(mix ? [qti('ordering', { shuffle: 'true' })] : []),
          ...items,
        ]),
      ];
    });
    const limit = minutes === undefined ? [] : [qti('time-limits', { 'max-time': String(minutes * 60) })];
    return rules.length > 0 ? [section(`s${lesson.id}`, lesson.title, [...limit, ...rules])] : [];
  });
  const root = qti(
    'assessment-test',
    { ...rootAttributes(version), identifier: `t${course.id}`, title: course.title },
    [
      outcome('SCORE', 'float'),
      qti(
        'test-part',
        { identifier: 'part', 'navigation-mode': 'nonlinear', 'submission-mode': 'individual' },
        sections,
      ),
      qti('outcome-processing', {}, [
        set('SCORE', qti('sum', {}, [qti('test-variables', { 'variable-identifier': 'SCORE' })])),
      ]),
    ],
  );
  return written(root, version);
}

function manifestXml(course: Course, checks: readonly Check[], version: QtiVersion): string {
  const { manifest, label, version: edition, item, test } = NAMES[version];
  const file = (href: string) => element('file', { href });
  const picturesOf = (check: Check) => mediaRefs(check).map((media) => file(`media/${mediaName(media)}`));
  return writeXml(
    element('manifest', { xmlns: manifest, identifier: `m${course.id}` }, [
      element('metadata', {}, [element('schema', {}, [label]), element('schemaversion', {}, [edition])]),
      element('organizations'),
      element('resources', {}, [
        element('resource', { identifier: `t${course.id}`, type: test, href: 'test.xml' }, [
          file('test.xml'),
          ...checks.map(({ id }) => element('dependency', { identifierref: id })),
        ]),
        ...checks.map((check) =>
          element('resource', { identifier: check.id, type: item, href: `items/${check.id}.xml` }, [
            file(`items/${check.id}.xml`),
            ...picturesOf(check),
          ]),
        ),
      ]),
    ]),
  );
}
