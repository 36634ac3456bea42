import { canonicalJson } from '../document/canonical';
import { courseShape } from './shapes';

/** The JSON Schema of a course document, as text. */
export function courseSchema(): string {
  return `${canonicalJson({ $schema: 'https://json-schema.org/draft/2020-12/schema', title: 'Course', ...courseShape.schema }, 1)}\n`;
}
