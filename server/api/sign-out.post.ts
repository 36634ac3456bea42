import { defineEventHandler } from 'h3';
import { endSession } from '../utils/session';

export default defineEventHandler((event) => {
  endSession(event);
  return {};
});
