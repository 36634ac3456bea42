import type { Component } from 'vue';
import type { CheckKind } from '../../core/checks/forms';
import choice from './choice/Check.vue';
import truth from './truth/Check.vue';

/** What takes a response, by kind of check; `part.ts` says what each is given. */
export const CHECK_PARTS: Record<CheckKind, Component> = { choice, truth };
