/** An address that a line's end broke: it ended in a sign that ends none, and goes on without a gap. */
const BROKEN_ADDRESS = /(?:https?:\/\/|www\.)\S*[/_=&?%-]$/i;

/** Whether a line goes on with an address that the text before it began. */
export const goesOnWithAddress = (text: string, line: string): boolean => BROKEN_ADDRESS.test(text) && /^[\p{L}\p{N}%_~-]/u.test(line);
