import type { AnswerOf } from '~/client';

export type ServiceLine = AnswerOf<'GET /api/services'>[number];

/** What each service outside is for, and what its stand-in stands for. */
export const SERVICES: Record<ServiceLine['name'], { title: string; what: string; standIn: string; real: string }> = {
  pages: {
    title: 'Pages of the web',
    what: 'Links that authors give as sources are fetched from there.',
    standIn: 'In this demo a small site of its own stands in for the web. Other addresses are asked as they are.',
    real: 'Fetched by this server, from the open network only.',
  },
  mail: {
    title: 'Mail',
    what: 'Letters that invite people, and links to choose a new password.',
    standIn:
      'Letters stay here and go to nobody. In an installation of your own, UPLIFT_MAIL names the mail server that sends them.',
    real: 'Letters go out by the mail server that UPLIFT_MAIL names. What comes back goes to the address in UPLIFT_MAIL_FROM.',
  },
};

/** How a stand-in behaves. */
export const MODES: Record<ServiceLine['mode'], string> = {
  well: 'works',
  slow: 'answers late',
  refusing: 'refuses',
  broken: 'breaks off',
  lying: 'sends what it does not say',
  bouncing: 'takes letters, which come back',
};
