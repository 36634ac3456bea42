const SIGNS: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

/** Text for an HTML page, in content or in a quoted attribute. */
export function escape(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => SIGNS[sign]);
}
