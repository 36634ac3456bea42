import Papa from 'papaparse';
import { answersRead, type SurveyAnswers } from '../../core/blocks/survey/answers';
import type { SurveyBody } from '../../core/blocks/survey/form';
import { fail } from '../../core/document/problem';
import {
  answerInWords,
  surveyOver,
  surveyResults,
  surveysIn,
  UNNAMED_LEAST,
  withBefore,
  type ItemResult,
} from '../../core/learning/surveys';
import type { Db } from '../database/open';
import type { LearnerRow, ReleaseRow } from '../database/releases';
import { surveysKept } from '../database/surveys';
import type { NewsDesk } from './news';
import type { ReleaseDesk } from './releases';

/** A form as its author finds it in a list. */
export interface FormLine {
  block: string;
  title: string;
  named: boolean;
  apart: boolean;
  /** Filled in so often. */
  count: number;
}

/** What was answered to a form. */
export interface FormResults extends FormLine {
  /** Sheets without names that are not shown until there are enough of them. */
  held: number;
  items: ItemResult[];
  /** Those with names, the newest first. */
  sheets: { id: string; name: string; at: number; answers: { item: string; text: string }[] }[];
}

/** Who fills in a form: a learner of the course, or whoever says a name. */
export interface Filler {
  learner?: LearnerRow;
  name?: string;
}

/** Feedback forms: what they ask, what is answered, kept apart from learners where it is given without a name. */
export function surveyDesk(db: Db, releases: ReleaseDesk, news: NewsDesk, now: () => number) {
  const kept = surveysKept(db);

  /** A form in a release, where it has it. */
  const formIn = (release: ReleaseRow, block: string): SurveyBody | undefined =>
    surveysIn(releases.frozen(release.id).view).find((each) => each.block.id === block)?.block.body;

  /** Every form that a release of the course had, as all of them had it together; those of the newest come first. */
  function formsOf(course: string): Map<string, SurveyBody> {
    const bodies = new Map<string, SurveyBody[]>();
    for (const { id } of releases.list(course))
      for (const { block } of surveysIn(releases.frozen(id).view))
        bodies.set(block.id, [...(bodies.get(block.id) ?? []), block.body]);
    return new Map([...bodies].map(([block, all]) => [block, surveyOver(all)!]));
  }

  function list(course: string): FormLine[] {
    const counts = new Map(kept.counts(course).map((each) => [each.block_id, each.count]));
    return [...formsOf(course)].map(([block, { title, named, apart }]) => ({
      block,
      title,
      named,
      apart: apart === true,
      count: counts.get(block) ?? 0,
    }));
  }

  /** The sheets of a form, those without names only once there are enough, and how many are held back. */
  function shownOf(course: string, block: string) {
    const rows = kept.ofForm(course, block);
    const named = rows.filter(({ name }) => name !== null);
    const unnamed = rows.length - named.length;
    const held = unnamed < UNNAMED_LEAST ? unnamed : 0;
    return { rows: held > 0 ? named : rows, named, held, count: rows.length };
  }

  /** What was answered to a form; without names only once enough have. Throws `no-such-form`. */
  function results(course: string, block: string): FormResults {
    const forms = [...formsOf(course)];
    const at = forms.findIndex(([id]) => id === block);
    const body = forms[at]?.[1] ?? fail('no-such-form', undefined, block);
    const itemsOf = (form: string, asked: SurveyBody) =>
      surveyResults(
        asked,
        shownOf(course, form).rows.map(({ answers }) => answers),
      );
    const earlier = forms.slice(0, at).map(([id, each]) => ({ title: each.title, items: itemsOf(id, each) }));
    const { named, held, count } = shownOf(course, block);
    return {
      block,
      title: body.title,
      named: body.named,
      apart: body.apart === true,
      count,
      held,
      items: withBefore(itemsOf(block, body), earlier),
      sheets: named.reverse().map(({ id, name, learner, received_at, answers }) => ({
        id,
        name: learner ?? name ?? '',
        at: received_at ?? 0,
        answers: body.items.flatMap((item) => {
          const text = answerInWords(item, answers);
          return text ? [{ item: item.id, text }] : [];
        }),
      })),
    };
  }

  return {
    formIn,
    list,
    results,
    /** Whether somebody has filled in a form, and with a name, what they answered. */
    sent(block: string, { learner }: Filler): { given: boolean; answers?: SurveyAnswers } {
      if (!learner) return { given: false };
      const sheet = kept.ofLearner(learner.id, block);
      return { given: sheet !== undefined || kept.gave(learner.id, block), ...(sheet && { answers: sheet.answers }) };
    },
    /**
     * Takes a filled-in form. With a name, a learner's newer one takes the place of the one before. Throws
     * `no-such-form`, `form-changed` (what was said of names to who filled it in does not hold any more),
     * `form-not-so` (not the form's own answers, or something needed is open), `name-wanted`, `given-already` (without
     * a name it cannot be found again to be changed).
     */
    give(
      release: ReleaseRow,
      block: string,
      sheet: { id: string; answers: unknown; named: boolean },
      { learner, name }: Filler,
    ): void {
      const body = formIn(release, block) ?? fail('no-such-form', undefined, block);
      if (sheet.named !== body.named) fail('form-changed', undefined, block);
      const answers = answersRead(body, sheet.answers) ?? fail('form-not-so', undefined, block);
      if (body.named && !learner && !name?.trim()) fail('name-wanted');
      const row = { id: sheet.id, course_id: release.course_id, block_id: block, release_id: release.id, answers };
      // One that came twice, because nobody heard that it had come, is there already.
      if (kept.has(sheet.id)) return;
      db.transaction(() => {
        if (body.named) {
          if (learner) kept.dropOf(learner.id, block);
          const whose = learner ? '' : name!.trim();
          kept.add({ ...row, learner_id: learner?.id ?? null, name: whose, received_at: now() });
          return;
        }
        if (learner && kept.gave(learner.id, block)) fail('given-already', undefined, block);
        kept.add({ ...row, learner_id: null, name: null, received_at: null });
        if (learner) kept.give(learner.id, block);
      })();
      news.tell(release.course_id, { kind: 'learners' });
    },
    /** A table of all that may be shown of a form, a row a sheet. Throws `no-such-form`. */
    table(course: string, block: string): string {
      const body = formsOf(course).get(block) ?? fail('no-such-form', undefined, block);
      const { rows } = shownOf(course, block);
      return Papa.unparse(
        [
          ['name', 'sent', ...body.items.map(({ text }) => text)],
          ...rows.map(({ name, learner, received_at, answers }) => [
            learner ?? name ?? '',
            received_at === null ? '' : new Date(received_at).toISOString(),
            ...body.items.map((item) => answerInWords(item, answers)),
          ]),
        ],
        { escapeFormulae: true },
      );
    },
    /** Takes a sheet with a name out. Throws `no-such-sheet`. */
    drop(course: string, block: string, id: string): void {
      if (!kept.drop(course, block, id)) fail('no-such-sheet', undefined, id);
      news.tell(course, { kind: 'learners' });
    },
  };
}

export type SurveyDesk = ReturnType<typeof surveyDesk>;
