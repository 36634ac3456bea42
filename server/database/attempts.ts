import type { Db } from './open';

/** Tries to sign in, by the name and the address they came from. Times are milliseconds UTC, oldest first. */
export function attemptsIn(db: Db) {
  const add = db.prepare('insert into sign_in_attempt (login, address, made_at) values (?, ?, ?)');
  const times = (where: string) => `select made_at from sign_in_attempt where ${where} and made_at > ? order by serial`;
  const ofPair = db.prepare<[string, string, number], { made_at: number }>(times('login = ? and address = ?'));
  const ofAddress = db.prepare<[string, number], { made_at: number }>(times('address = ?'));
  const ofLogin = db.prepare<[string, number], { made_at: number }>(times('login = ?'));
  const clear = db.prepare('delete from sign_in_attempt where login = ? and address = ?');
  const forget = db.prepare('delete from sign_in_attempt where made_at <= ?');
  const at = (rows: { made_at: number }[]) => rows.map((row) => row.made_at);
  return {
    add: (login: string, address: string, time: number) => void add.run(login, address, time),
    ofPair: (login: string, address: string, since: number) => at(ofPair.all(login, address, since)),
    ofAddress: (address: string, since: number) => at(ofAddress.all(address, since)),
    ofLogin: (login: string, since: number) => at(ofLogin.all(login, since)),
    clear: (login: string, address: string) => void clear.run(login, address),
    forget: (until: number) => void forget.run(until),
  };
}
