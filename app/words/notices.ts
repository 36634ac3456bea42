/** What the author should know of a drafted outline. */
export function noticeWords({
  code,
  parameters = {},
}: {
  code: string;
  parameters?: Record<string, string | number>;
}): string {
  switch (code) {
    case 'language-not-understood':
      return `${parameters.title} is in a language (${parameters.language}) whose sentences are not understood yet: lessons are drafted by whole paragraphs, without objectives and checks.`;
    case 'language-in-part':
      return `${parameters.title}: in its language (${parameters.language}) rules, terms, steps and figures are found; lessons are drafted by whole paragraphs, without objectives and checks.`;
    case 'fewer-modules':
      return `${parameters.asked} modules were asked for; the sources give ${parameters.got}.`;
    case 'fewer-lessons':
      return `${parameters.asked} lessons a module were asked for; the smallest module has ${parameters.got}.`;
    default:
      return code;
  }
}
