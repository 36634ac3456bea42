/** What letters of the installation say. They are plain text: nothing in them is markup. */
export interface LetterFacts {
  name: string;
  login: string;
  by: string;
  /** Where the desk is, and where a password is chosen. */
  desk: string;
  link: string;
  days: number;
}

export type LetterKind = 'invitation' | 'new-password';

export const LETTERS: Record<LetterKind, (facts: LetterFacts) => { subject: string; text: string }> = {
  invitation: ({ name, login, by, desk, link, days }) => ({
    subject: `${by} invites you to Uplift Path`,
    text: `Hello ${name},

${by} has added you to the desk for making courses at

  ${desk}

Choose a password here, and you are in:

  ${link}

The link works once, for ${days} days. Later you sign in as “${login}”.

If you do not know ${by}, let it be: nothing happens then.
`,
  }),
  'new-password': ({ name, login, by, desk, link, days }) => ({
    subject: 'A new password for Uplift Path',
    text: `Hello ${name},

${by} sends you a link to choose a new password for the desk at ${desk}, where you sign in as “${login}”:

  ${link}

The link works once, for ${days} days. Until it is used, the password you have stays good.
`,
  }),
};
