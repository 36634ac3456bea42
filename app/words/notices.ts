/** Why a part of the sources is left out of an outline. */
const REASONS: Record<string, string> = {
  contents: 'table of contents', legal: 'legal text', thanks: 'thanks', history: 'change history', index: 'index', references: 'list of references', about: 'about the document', navigation: 'navigation',
  empty: 'too little text', known: 'known to the audience', size: 'no room at this length', 'too-little': 'too little to teach', supporting: 'a supporting source, and no lesson it fits',
};
export function reasonWords(reason: string): string {
  return REASONS[reason] ?? reason;
}

/** What the author should know of a drafted outline. */
export function noticeWords({ code, parameters = {} }: { code: string; parameters?: Record<string, string | number> }): string {
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
