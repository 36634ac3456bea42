import type { HandedFile } from '../../core/checks/markings';
import type { SurveyAnswers } from '../../core/blocks/survey/answers';
import type { SurveyBody } from '../../core/blocks/survey/form';
import type { Files, Surveys } from '../blocks/part';
import type { Told, Sent } from '../carriers/server';
import type { Rules } from '../../core/learning/rules';
import type { LearnerCourse } from '../../core/learning/view';

/** What anybody with the link may know of a course. */
export interface Offer {
  title: string;
  language: string;
  direction: 'ltr' | 'rtl';
  promise: string;
  minutes: number;
  lessons: number;
  checks: number;
  rules: Rules;
  /** Whether it may be begun or gone on with now; or what is missing. */
  state: 'begun' | 'open' | 'name' | 'sign-in' | 'closed' | 'withdrawn';
  /** Who is signed in. */
  person?: string;
}

/** A feedback form, as anybody with its link gets it. */
export interface FormOffer {
  course: string;
  language: string;
  direction: 'ltr' | 'rtl';
  body: SurveyBody;
  /** `name`: it can be filled in by who says their name. */
  state: 'open' | 'name' | 'sign-in' | 'closed';
  given: boolean;
  answers?: SurveyAnswers;
  /** Whose name goes with the answers. */
  name?: string;
}

/** A course as its learner takes it. */
export interface Taken {
  course: LearnerCourse;
  rules: Rules;
  told: Told;
  release: string;
  learner: string;
  /** With this, the learner can go on elsewhere; none for people of this installation, who sign in. */
  key?: string;
}

/** What the server answered when it said no. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }
}

async function ask<T>(path: string, body?: unknown): Promise<T> {
  const answer = await fetch(
    path,
    body === undefined
      ? {}
      : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) },
  );
  if (answer.ok) return (await answer.json()) as T;
  // A fault of the server is met like a lost connection: tried again. A refusal would be the same again.
  if (answer.status >= 500) throw new Error(String(answer.status));
  throw new Refused(
    ((await answer.json().catch(() => ({}))) as { data?: { message?: string } }).data?.message ?? String(answer.status),
    answer.status,
  );
}

/** Sends a file, told how far it is: what `fetch` says of bodies on their way is not known everywhere. */
function sendFile(path: string, file: File, told: (share: number) => void): ReturnType<Files['send']> {
  const request = new XMLHttpRequest();
  const done = new Promise<HandedFile>((resolve, reject) => {
    request.upload.onprogress = ({ loaded, total }) => told(total > 0 ? loaded / total : 0);
    request.onload = () => {
      const answer = answered(request.responseText) as HandedFile & { data?: { message?: string } };
      if (request.status < 300) resolve(answer);
      else reject(new Error(answer.data?.message ?? ''));
    };
    request.onerror = () => reject(new Error(''));
    request.open('POST', path);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.send(file);
  });
  return { done, stop: () => request.abort() };
}
function answered(text: string): object {
  try {
    return JSON.parse(text) as object;
  } catch {
    return {};
  }
}

/** Our server's side for learners, at one course's link. */
export function asking(link: string) {
  const at = `/api/learn/${link}`;
  return {
    offer: () => ask<Offer>(at),
    begin: (name?: string) => ask<object>(`${at}/begin`, name ? { name } : {}),
    /** Whose place a key is; `take` takes it on this browser. */
    comeBack: (key: string, take = false) =>
      ask<{ name: string; here: boolean }>(`${at}/return`, { key, ...(take && { take }) }),
    leave: () => ask<object>(`${at}/leave`, {}),
    course: () => ask<Taken>(`${at}/course`),
    files: {
      address: (hash) => `${at}/files/${hash}`,
      send: (check, file, told) =>
        sendFile(`${at}/files?check=${check}&name=${encodeURIComponent(file.name)}`, file, told),
    } satisfies Files,
    /** Anybody with the link: what a form asks, and whether it can be filled in now. */
    form: (block: string) => ask<FormOffer>(`${at}/forms/${block}`),
    /** `name`: of whoever has no place in the course. */
    surveys: (name?: () => string): Surveys => ({
      sent: (block) => ask<FormOffer>(`${at}/forms/${block}`),
      send: async (block, sheet) => {
        const of = name?.().trim();
        await ask<object>(`${at}/forms/${block}`, { ...sheet, ...(of && { name: of }) });
      },
    }),
    async send(events: readonly Sent[]): Promise<Told | undefined> {
      try {
        return await ask<Told>(`${at}/events`, { events });
      } catch (error) {
        // Only what cannot be taken is refused for good; a course that is shut for now may open again.
        if (error instanceof Refused && error.status === 422) return undefined;
        throw error;
      }
    },
  };
}
