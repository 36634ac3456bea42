import type { LastWord } from '~~/core/checks/task/form';
import type { FileKind } from '~~/core/document/handed';

/** Who has the last word on a hand-in, as its author chooses it. */
export const LAST_WORD_LABELS: Record<LastWord, string> = {
  confirmed: 'Marks are suggested, a person confirms them',
  person: 'A person marks it alone',
  suggested: 'Suggested marks hold, a person may correct them',
  learner: 'Learners compare it with the model answer',
};

/** What kinds of files are called. */
export const FILE_LABELS: Record<FileKind, string> = {
  documents: 'documents',
  tables: 'tables',
  slides: 'slides',
  pictures: 'pictures',
  sound: 'sound',
  film: 'film',
};
