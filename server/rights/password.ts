import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

const COST = { N: 16_384, r: 8, p: 1 } as const;
const LENGTH = 32;

function derive(password: string, salt: Buffer): Promise<Buffer> {
  return new Promise((done, failed) =>
    scrypt(password.normalize('NFKC'), salt, LENGTH, COST, (error, key) => (error ? failed(error) : done(key))),
  );
}

/** A password as it is kept: salt and scrypt key (RFC 7914), in base 64. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  return `${salt.toString('base64')}.${(await derive(password, salt)).toString('base64')}`;
}

/**
 * Whether a password is the kept one; takes as long when there is none to compare with, as for whoever is invited and
 * has chosen none yet.
 */
export async function checkPassword(password: string, kept: string | undefined): Promise<boolean> {
  const [salt, key] = (kept || `${'A'.repeat(24)}.${'A'.repeat(43)}=`)
    .split('.')
    .map((part) => Buffer.from(part, 'base64'));
  const derived = await derive(password, salt);
  return derived.length === key.length && timingSafeEqual(derived, key) && Boolean(kept);
}

/** A token for a session's cookie. */
export function freshToken(): string {
  return randomBytes(24).toString('base64url');
}

/** What of a token is kept: a leaked database opens no session. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
