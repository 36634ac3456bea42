import { h } from 'vue';
import type { FilesBody } from '../../../core/blocks/files/form';
import type { BlockPart } from '../part';
import Files from './Files.vue';

export const files: BlockPart<FilesBody> = (body, view) => h(Files, { body, view });
