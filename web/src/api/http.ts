/** What the server answers when it will not do something. */
export class Refused extends Error {
  constructor(
    readonly code: string,
    says: string,
    readonly status: number,
  ) {
    super(says);
  }
}

let csrf = '';

/** Keeps the token that requests which change something must carry. */
export function keepToken(token: string) {
  csrf = token;
}

/** The token that requests which change something must carry, asked for when it is not known yet. */
export async function secret(): Promise<string> {
  if (!csrf) keepToken((await ask<{ csrf: string }>('GET', '/api/session')).csrf);
  return csrf;
}

/**
 * Asks the server for something.
 * @throws {Refused} with a sentence that can be shown as it is
 */
export async function ask<T>(method: string, path: string, body?: unknown, again = false): Promise<T> {
  if (method !== 'GET') await secret();
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        'Content-Type': body instanceof Blob ? 'application/octet-stream' : 'application/json',
        'X-CSRF-Token': csrf,
        Accept: 'application/json',
      },
      body: body === undefined || body instanceof Blob ? body : JSON.stringify(body),
    });
  } catch {
    throw new Refused('offline', 'The server cannot be reached just now. What you wrote is still here.', 0);
  }
  const facts = (await response.json().catch(() => ({}))) as { code?: string; says?: string; error?: string };
  if (!response.ok) {
    if (facts.code === 'stale_page') {
      // Who one is has changed in another tab, and the token with it.
      csrf = '';
      if (!again) return ask(method, path, body, true);
    }
    throw new Refused(
      facts.code ?? 'fault',
      facts.says ?? facts.error ?? 'Something went wrong. Try again in a moment.',
      response.status,
    );
  }
  return facts as T;
}

export const get = <T>(path: string) => ask<T>('GET', path);
export const post = <T>(path: string, body: unknown = {}) => ask<T>('POST', path, body);
export const patch = <T>(path: string, body: unknown) => ask<T>('PATCH', path, body);
/** Sends a file as it is, in place of what was there. */
export const putFile = <T>(path: string, file: File) => ask<T>('PUT', path, file);
export const remove = <T>(path: string) => ask<T>('DELETE', path);
