import { createContext } from 'react';
import { get, post } from '../api/http';
import type { Material } from '../api/shapes';

/** Plays what a link leads to for everyone; null where one may not. */
export const PlayLinkContext = createContext<((link: string) => void) | null>(null);

/** Letters of a title. */
const LONGEST = 120;

/** @returns the link that a text is, when it is one and nothing else */
export function linkIn(text: string | undefined): string | null {
  const trimmed = text?.trim() ?? '';
  return /^https?:\/\/[^\s"<>]+$/.test(trimmed) && URL.canParse(trimmed) ? trimmed : null;
}

/**
 * Finds a link on the shelf of a course, or puts it there.
 * @returns id of the material
 */
export async function onShelf(course: string, link: string): Promise<string> {
  const path = `/api/courses/${course}`;
  const known = (await get<Material[]>(`${path}/materials`)).find((material) => material.link === link);
  if (known) return known.id;
  const { host, pathname } = new URL(link);
  const title = `${host}${pathname}`.slice(0, LONGEST);
  return (await post<{ id: string }>(`${path}/links`, { title, link })).id;
}
