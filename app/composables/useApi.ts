/** What went wrong, as the server words it. */
export interface Trouble {
  code: string;
  message: string;
  place?: string;
}

/** The trouble in a failed request; without an answer, the connection is what is wrong. */
export function troubleOf(error: unknown): Trouble {
  const data = (error as { data?: { data?: Trouble } }).data?.data;
  if (data?.code) return data;
  const status = (error as { statusCode?: number }).statusCode;
  return status
    ? { code: 'fault', message: `Something went wrong on our side (${status}). Nothing you saved is lost.` }
    : { code: 'offline', message: 'The server does not answer. Your changes are kept here and sent when it does.' };
}

/** A random id for something a person makes: valid as XML id, URL part and file name. */
export function freshId(letter: string): string {
  const alphabet = 'abcdefghijklmnopqrstuvwxyz234567';
  return letter + Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => alphabet[byte & 31]).join('');
}
