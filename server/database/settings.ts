import { MODES, type Mode, type ServiceName } from '../services/service';
import type { Db } from './open';

/** Settings of the installation that are made on a screen. */
export function settingsIn(db: Db) {
  const get = db.prepare<[string], { value: string }>('select value from setting where name = ?');
  const set = db.prepare('insert into setting values (?, ?) on conflict do update set value = excluded.value');
  return {
    /** How the stand-in of a service behaves. */
    mode(service: ServiceName): Mode {
      const kept = get.get(`mode ${service}`)?.value;
      return MODES[service].find((mode) => mode === kept) ?? 'well';
    },
    /** The sites whose pages may be shown within lessons, by their hosts. */
    embeds: (): string[] => JSON.parse(get.get('embeds')?.value ?? '[]') as string[],
    setEmbeds: (hosts: readonly string[]) => void set.run('embeds', JSON.stringify(hosts)),
    setMode: (service: ServiceName, mode: Mode) => void set.run(`mode ${service}`, mode),
  };
}
