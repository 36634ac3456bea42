import { defineEventHandler } from 'h3';
import { installation } from '../utils/installation';

export default defineEventHandler(() => installation().people.all());
