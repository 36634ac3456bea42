import type { Component } from 'vue';
import type { CheckKind } from '../../core/checks/forms';
import area from './area/Check.vue';
import choice from './choice/Check.vue';
import match from './match/Check.vue';
import number from './number/Check.vue';
import open from './open/Check.vue';
import order from './order/Check.vue';
import scenario from './scenario/Check.vue';
import several from './several/Check.vue';
import short from './short/Check.vue';
import sort from './sort/Check.vue';
import task from './task/Check.vue';
import truth from './truth/Check.vue';

/** What takes a response, by kind of check; `part.ts` says what each is given. */
export const CHECK_PARTS: Record<CheckKind, Component> = {
  choice,
  several,
  truth,
  order,
  match,
  sort,
  number,
  short,
  open,
  area,
  scenario,
  task,
};

/** Kinds whose parts give what is answered away themselves, step by step or whole. */
export const BY_STEPS: ReadonlySet<CheckKind> = new Set<CheckKind>(['scenario', 'task']);
