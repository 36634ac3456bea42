import type { VNode } from 'vue';
import type { SurveyAnswers } from '../../core/blocks/survey/answers';
import type { HandedFile } from '../../core/checks/markings';
import type { MediaRef } from '../../core/document/media';
import type { Words } from '../../core/words';
import type { Drafts } from '../carriers/drafts';

/** Files on their way to who marks them. */
export interface Files {
  /** Sends one; `told` hears how far it is, 0 to 1. `done` fails with what is to be said. */
  send(check: string, file: File, told: (share: number) => void): { done: Promise<HandedFile>; stop: () => void };
  /** Where one that arrived can be saved from. */
  address(hash: string): string;
}

/** Feedback forms on their way to their author. */
export interface Surveys {
  /** Whether a form was sent from here before; with names, what was answered. */
  sent(block: string): Promise<{ given: boolean; answers?: SurveyAnswers }>;
  /** Sends a sheet, with what was said of names; the same one twice counts once. Fails with what is to be said. */
  send(block: string, sheet: { sheet: string; named: boolean; answers: SurveyAnswers }): Promise<void>;
}

/** What a block needs of the page it stands on. */
export interface PartView {
  words: Words;
  /** Of the course, by which dates are said. */
  language: string;
  /** The sites whose pages may be shown. */
  embeds: readonly string[];
  /** The address of a media file, from where the page is. */
  media(ref: MediaRef): string;
  /** Whose a file is and what they allow, where learners are to read it. */
  credit?(ref: MediaRef): string | undefined;
  /** Where what is written is kept until it is handed in. */
  drafts?: Drafts;
  /** Absent where nobody can have files. */
  files?: Files;
  /** Absent where nobody gets what is answered. */
  surveys?: Surveys;
}

/** A block of a kind as a learner sees it. */
export type BlockPart<Body> = (body: Body, view: PartView, id: string) => VNode;
