import type { SurveyAnswers } from '../../core/blocks/survey/answers';
import type { Db } from './open';

/** A filled-in form as it is kept. Without a name there is neither learner nor time. */
export interface SheetRow {
  id: string;
  course_id: string;
  block_id: string;
  release_id: string;
  learner_id: string | null;
  /** Empty for learners, whose own name holds; null: given without. */
  name: string | null;
  answers: SurveyAnswers;
  received_at: number | null;
}

type Stored = Omit<SheetRow, 'answers'> & { answers: string };
const opened = <Row extends { answers: string }>(row: Row) => ({
  ...row,
  answers: JSON.parse(row.answers) as SurveyAnswers,
});

/** Answers to feedback forms, and which learners gave theirs without a name. */
export function surveysKept(db: Db) {
  const add = db.prepare(
    'insert into survey_sheet (id, course_id, block_id, release_id, learner_id, name, answers, received_at) values (@id, @course_id, @block_id, @release_id, @learner_id, @name, @answers, @received_at)',
  );
  const has = db.prepare<[string]>('select 1 from survey_sheet where id = ?');
  // The name that a learner has now: one that was taken out is not kept here.
  const ofForm = db.prepare<[string, string], Stored & { learner: string | null }>(
    'select survey_sheet.*, learner.name as learner from survey_sheet left join learner on learner.id = learner_id where survey_sheet.course_id = ? and block_id = ? order by received_at, survey_sheet.id',
  );
  const counts = db.prepare<[string], { block_id: string; count: number; unnamed: number }>(
    'select block_id, count(*) as count, sum(name is null) as unnamed from survey_sheet where course_id = ? group by block_id',
  );
  const ofLearner = db.prepare<[string, string], Stored>(
    'select * from survey_sheet where learner_id = ? and block_id = ?',
  );
  const dropOf = db.prepare('delete from survey_sheet where learner_id = ? and block_id = ?');
  const drop = db.prepare('delete from survey_sheet where course_id = ? and block_id = ? and id = ?');
  const give = db.prepare('insert or ignore into survey_given (learner_id, block_id) values (?, ?)');
  const gave = db.prepare<[string, string]>('select 1 from survey_given where learner_id = ? and block_id = ?');
  return {
    has: (id: string): boolean => has.get(id) !== undefined,
    add: ({ answers, ...row }: SheetRow) => void add.run({ ...row, answers: JSON.stringify(answers) }),
    ofForm: (course: string, block: string) => ofForm.all(course, block).map(opened),
    /** How many sheets each form has, and how many of them without a name. */
    counts: (course: string) => counts.all(course),
    ofLearner(learner: string, block: string): SheetRow | undefined {
      const row = ofLearner.get(learner, block);
      return row && opened(row);
    },
    dropOf: (learner: string, block: string) => void dropOf.run(learner, block),
    drop: (course: string, block: string, id: string): boolean => drop.run(course, block, id).changes > 0,
    /** A learner gave theirs without a name: that, and nothing of it. */
    give: (learner: string, block: string) => void give.run(learner, block),
    gave: (learner: string, block: string): boolean => gave.get(learner, block) !== undefined,
  };
}
