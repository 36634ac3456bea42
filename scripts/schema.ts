// Writes docs/course.schema.json out of the forms in core/course. A test holds the file to the code.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { courseSchema } from '../core/course/schema';

writeFileSync(join(process.cwd(), 'docs/course.schema.json'), courseSchema());
