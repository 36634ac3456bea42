import Papa from 'papaparse';

/** Saves rows as a table for other programs. What could be taken for a formula there is written as text. */
export function saveCsv(name: string, rows: Record<string, string | number>[]): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([Papa.unparse(rows, { escapeFormulae: true })], { type: 'text/csv' }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
