import { h } from 'vue';
import type { SurveyBody } from '../../../core/blocks/survey/form';
import type { BlockPart } from '../part';
import Survey from './Survey.vue';

export const survey: BlockPart<SurveyBody> = (body, view, id) => h(Survey, { body, view, id, key: id });
