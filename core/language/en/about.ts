/** What a question is about, in front of it; a title that is a question itself stands as one. */
export const about = (title: string, more = ''): string =>
  /[?!]$/.test(title) && !more ? title : `${title.replace(/[?!.]$/, '')}${more}:`;
