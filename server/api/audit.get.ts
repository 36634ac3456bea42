import { defineEventHandler, getQuery } from 'h3';
import { checkInput } from '../inputs/course';
import { AuditInput } from '../inputs/people';
import { installation } from '../utils/installation';
import { answering, refuse } from '../utils/request';

/** Lines a page shows at a time. */
const MOST = 200;

/** What happened that somebody may have to answer for, newest first. */
export default defineEventHandler((event) =>
  answering(() => {
    const { since, until, before, ...words } = getQuery(event);
    const number = (value: unknown) => (value === undefined || value === '' ? undefined : Number(value));
    const all: Record<string, unknown> = {
      ...words,
      since: number(since),
      until: number(until),
      before: number(before),
    };
    const given = Object.entries(all).filter(([, value]) => value !== undefined && value !== '');
    const checked = checkInput(AuditInput, Object.fromEntries(given));
    if (!checked.ok) return refuse(checked.problem);
    const { what, ...filter } = checked.value;
    const { audit, people } = installation();
    // People are kept by their ids, so that whoever is taken out without their name is nowhere named any more.
    const named = (detail: string | null) =>
      detail?.replace(/\bp[a-z0-9]{9,15}\b/g, (id) => people.nameOf(id) || id) ?? null;
    return audit
      .find({ ...filter, ...(what && { what: what.split(',') }), most: MOST })
      .map((line) => ({ ...line, detail: named(line.detail) }));
  }),
);
