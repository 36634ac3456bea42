import { api } from '~/client';

const hosts = ref<string[]>([]);
let asked: Promise<void> | undefined;

/** The sites whose pages may be shown within lessons, as whoever runs the installation allows; asked once a visit. */
export function useEmbeds() {
  asked ??= api('GET /api/embeds').then(
    (answer) => void (hosts.value = answer.hosts),
    // Asked again the next time it is needed.
    () => void (asked = undefined),
  );
  return { hosts, known: (next: string[]) => void (hosts.value = next) };
}
