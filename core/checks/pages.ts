import type { PageView } from '../blocks/page';
import { escape } from '../document/html';
import { choice } from './choice/page';
import type { Check, CheckKind, CheckKinds } from './forms';
import type { CheckPage } from './page';
import { truth } from './truth/page';

const PAGES: { [Kind in CheckKind]: CheckPage<CheckKinds[Kind]> } = { choice, truth };

/** A check as HTML, for its author. */
export function checkHtml(check: Check, view: PageView): string {
  const answers = (PAGES[check.kind] as unknown as CheckPage<Check>)(check, view);
  return `<div class="check"><p class="stem">${escape(check.stem)}</p>${answers}</div>`;
}
