import { markedAlone } from '../../checks/markings';
import type { PackageKind } from '../../learning/packages';
import type { Rules } from '../../learning/rules';
import { withoutSurveys } from '../../learning/surveys';
import type { FrozenCourse } from '../../learning/view';
import { escape } from '../../document/html';

/** A released course, as packages are made of it. */
export interface Released {
  /** Keeps a learner's progress in one release apart from that in another. */
  id: string;
  number: number;
  rules: Rules;
  frozen: FrozenCourse;
}

/**
 * The one page of a package: the course as data in it, so that it works from a file. Nothing in the data can end the
 * script it stands in.
 */
export function packagePage({ id, rules, frozen }: Released, scorm: PackageKind['scorm']): string {
  const view = withoutSurveys(frozen.view);
  const alone = view.checks.map((check) => markedAlone(check, frozen.keys[check.id]));
  const keys = Object.fromEntries(alone.map(({ view: check, secret }) => [check.id, secret]));
  const course = { ...view, checks: alone.map(({ view: check }) => check) };
  const data = JSON.stringify({ course, rules, keys, release: id, ...(scorm && { scorm }) })
    .replaceAll('<', '\\u003c')
    .replaceAll('\u2028', '\\u2028')
    .replaceAll('\u2029', '\\u2029');
  return `<!doctype html>
<html lang="${escape(view.language === 'und' ? 'en' : view.language)}" dir="${view.direction}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escape(view.title)}</title>
<link rel="stylesheet" href="player.css">
</head>
<body>
<div id="player"></div>
<noscript><p>This course needs JavaScript.</p></noscript>
<script type="application/json" id="uplift-data">${data}</script>
<script src="player.js"></script>
</body>
</html>
`;
}
