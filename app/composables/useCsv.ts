import Papa from 'papaparse';
import { saveFile } from './saving';

/** Saves rows as a table for other programs. What could be taken for a formula there is written as text. */
export function saveCsv(name: string, rows: Record<string, string | number>[]): void {
  saveFile(name, new Blob([Papa.unparse(rows, { escapeFormulae: true })], { type: 'text/csv' }));
}
