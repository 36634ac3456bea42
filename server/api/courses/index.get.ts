import { defineEventHandler } from 'h3';
import { courseRows } from '../../desk/rows';
import { installation } from '../../utils/installation';
import { personOf } from '../../utils/request';

export default defineEventHandler((event) => courseRows(installation(), personOf(event).id));
