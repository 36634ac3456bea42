import type { Trouble } from '~/composables/useApi';

/** What is said where no answer comes. */
const SILENT: Trouble = {
  code: 'offline',
  message: 'The server does not answer. The file is still where it was; try again.',
};

/**
 * Sends a file, told how far it is (0 to 1), which `fetch` does not say everywhere. `done` fails with a `Trouble` in
 * `data`, as requests do; `stop` ends it, and then `done` never comes.
 */
export function sendFile<Answer>(
  method: 'POST' | 'PUT',
  path: string,
  file: Blob,
  told: (share: number) => void,
): { done: Promise<Answer>; stop: () => void } {
  const request = new XMLHttpRequest();
  const done = new Promise<Answer>((resolve, reject) => {
    request.upload.onprogress = ({ loaded, total }) => told(total > 0 ? loaded / total : 0);
    request.onload = () => {
      const answer = answered(request.responseText) as Answer & { data?: Trouble };
      if (request.status < 300) resolve(answer);
      else reject(Object.assign(new Error(String(request.status)), { data: { data: answer.data ?? SILENT } }));
    };
    request.onerror = () => reject(Object.assign(new Error('offline'), { data: { data: SILENT } }));
    request.open(method, path);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.send(file);
  });
  return { done, stop: () => request.abort() };
}

function answered(text: string): object {
  try {
    return JSON.parse(text) as object;
  } catch {
    return {};
  }
}
