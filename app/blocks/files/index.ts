import type { FilesBody } from '~~/core/blocks/files/form';
import { fieldedNode } from '../fielded';
import type { BlockNode } from '../node';
import FilesForm from './FilesForm.vue';

const EMPTY: FilesBody = { files: [] };

export const files: BlockNode<FilesBody> = {
  label: 'Files',
  ...fieldedNode('files', EMPTY, FilesForm),
  add: [{ label: 'Files to read or take along', body: () => EMPTY }],
};
