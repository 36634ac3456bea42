import { defineEventHandler } from 'h3';
import { installation } from '../utils/installation';
import { answering } from '../utils/request';

/** Everybody of the installation, and whether adding somebody ends the demo's way in by one click. */
export default defineEventHandler(() =>
  answering(() => {
    const { people, demo } = installation();
    return { people: people.all(), byOneClick: demo.byOneClick() };
  }),
);
