import type { PageView } from '../blocks/page';
import { pictureHtml } from '../blocks/picture/page';
import { escape } from '../document/html';
import { area } from './area/page';
import { choice } from './choice/page';
import type { Check, CheckKind, CheckKinds } from './forms';
import { match } from './match/page';
import { number } from './number/page';
import { open } from './open/page';
import { order } from './order/page';
import type { CheckPage } from './page';
import { scenario } from './scenario/page';
import { several } from './several/page';
import { short } from './short/page';
import { sort } from './sort/page';
import { task } from './task/page';
import { truth } from './truth/page';

const PAGES: { [Kind in CheckKind]: CheckPage<CheckKinds[Kind]> } = {
  choice,
  several,
  truth,
  order,
  match,
  sort,
  number,
  short,
  open,
  area,
  scenario,
  task,
};

/** A check as HTML, for its author. */
export function checkHtml(check: Check, view: PageView): string {
  const answers = (PAGES[check.kind] as unknown as CheckPage<Check>)(check, view);
  const picture = check.picture ? pictureHtml(check.picture, view) : '';
  return `<div class="check"><p class="stem">${escape(check.stem)}</p>${picture}${answers}</div>`;
}
