import { defineEventHandler, getQuery } from 'h3';
import { checkInput } from '../../core/course/input';
import { AuditInput } from '../rights/input';
import { installation } from '../utils/installation';
import { answering, refuse } from '../utils/request';

/** Lines a page shows at a time. */
const MOST = 200;

/** What happened that somebody may have to answer for, newest first. */
export default defineEventHandler((event) =>
  answering(() => {
    const { since, until, before, ...words } = getQuery(event);
    const number = (value: unknown) => (value === undefined || value === '' ? undefined : Number(value));
    const all: Record<string, unknown> = { ...words, since: number(since), until: number(until), before: number(before) };
    const given = Object.entries(all).filter(([, value]) => value !== undefined && value !== '');
    const checked = checkInput(AuditInput, Object.fromEntries(given));
    if (!checked.ok) return refuse(checked.problem);
    const { what, ...filter } = checked.value;
    return installation().audit.find({ ...filter, ...(what && { what: what.split(',') }), most: MOST });
  }));
