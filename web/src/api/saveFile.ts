import { Refused } from './http';

/**
 * Fetches a file and hands it to the browser to be saved under the name the server gives it.
 * @throws {Refused} with a sentence that can be shown as it is
 */
export async function saveFile(address: string): Promise<void> {
  const response = await fetch(address).catch(() => null);
  if (!response) throw new Refused('offline', 'The server cannot be reached just now. Try again in a moment.', 0);
  if (!response.ok) {
    const facts = (await response.json().catch(() => ({}))) as { code?: string; says?: string };
    throw new Refused(facts.code ?? 'fault', facts.says ?? 'The file could not be made.', response.status);
  }
  const name = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1];
  const link = document.createElement('a');
  link.href = URL.createObjectURL(await response.blob());
  link.download = name ?? 'veranda';
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
