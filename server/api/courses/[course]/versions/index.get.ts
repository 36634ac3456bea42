import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { idOf } from '../../../../utils/request';

export default defineEventHandler((event) => installation().courses.versions(idOf(event, 'course')));
