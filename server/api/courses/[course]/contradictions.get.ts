import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Where the sources of a course contradict each other, or themselves. */
export default defineEventHandler((event) =>
  answering(() => {
    const { drafter, sources } = installation();
    return drafter.ask('contradictions', { sources: sources.keys(idOf(event, 'course')) });
  }));
