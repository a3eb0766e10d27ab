import { ask, get, post, Refused, remove, secret } from './http';
import type { Upload } from './shapes';

export interface UploadRequest {
  course?: string;
  /** The class in whose exchange it is to be posted. */
  sitting?: string;
  /** Id of the material of which this is a new version. */
  replaces?: string;
  label?: string;
  /** What is made of it: a material, or a lesson or a recording of its zip. */
  purpose?: 'material' | 'lesson' | 'recording';
}

export interface UploadOptions {
  onProgress?: (share: number) => void;
  signal?: AbortSignal;
}

/** Pieces are smaller than the server takes, so that progress moves on weak connections. */
const PIECE = 512 * 1024;
/** ms between tries while the server cannot be reached, and how many tries. */
const PAUSE = 1_500;
const TRIES = 40;

/** What came of an upload once it was whole. */
const made = ({ material, lesson, recording }: Upload) => material ?? lesson ?? recording;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function send(progress: Upload, file: File, signal?: AbortSignal): Promise<Upload> {
  const piece = file.slice(progress.offset, progress.offset + Math.min(PIECE, progress.piece));
  let response: Response;
  try {
    response = await fetch(`/api/uploads/${progress.id}`, {
      method: 'PATCH',
      headers: {
        'Content-Type': 'application/offset+octet-stream',
        'Upload-Offset': String(progress.offset),
        'X-CSRF-Token': await secret(),
      },
      body: piece,
      signal,
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new Refused('offline', 'The server cannot be reached just now. The upload goes on by itself.', 0);
  }
  const facts = (await response.json().catch(() => ({}))) as Upload & { code?: string; says?: string };
  if (!response.ok) throw new Refused(facts.code ?? 'fault', facts.says ?? 'The upload broke off.', response.status);
  return { ...progress, ...facts };
}

/**
 * Sends a file piece by piece. After a break it asks the server how far it had come and goes on from there.
 * @returns the id of the material, the lesson or the recording that came of it
 * @throws {Refused} when the server does not want it; an AbortError when it was cancelled
 */
export async function upload(file: File, request: UploadRequest, { onProgress, signal }: UploadOptions = {}) {
  let progress = await post<Upload>('/api/uploads', { ...request, name: file.name, size: file.size });
  let tries = 0;
  try {
    while (made(progress) === undefined) {
      try {
        progress = await send(progress, file, signal);
        tries = 0;
        onProgress?.(progress.offset / progress.size);
      } catch (error) {
        if (signal?.aborted || !(error instanceof Refused)) throw error;
        if (!['offline', 'wrong_offset', 'fault'].includes(error.code) || ++tries > TRIES) throw error;
        await pause(PAUSE);
        progress = { ...progress, ...(await get<Upload>(`/api/uploads/${progress.id}`).catch(() => progress)) };
      }
    }
  } catch (error) {
    if (signal?.aborted) void remove(`/api/uploads/${progress.id}`).catch(() => undefined);
    throw error;
  }
  return made(progress)!;
}

/** Asks until a material is ready, or says that it will not be. */
export async function untilReady<T extends { state: string }>(path: string, signal?: AbortSignal): Promise<T> {
  for (;;) {
    const material = await ask<T>('GET', path);
    if (material.state === 'ready' || material.state === 'failed' || signal?.aborted) return material;
    await pause(400);
  }
}
