import type { Material, Slide } from '../api/shapes';
import { newId } from '../live/LiveClient';
import type { NewMark } from '../live/board';
import { round } from './geometry/boxes';

/** Pictures come at most this large, in page px. */
const WIDEST = 760;
const HIGHEST = 560;
const MOST_ALT = 480;

type Sized = Partial<NewMark> & { w: number; h: number };

/** @returns a mark of a given size whose middle is at a point: a prop, or a picture */
export function placed({ w, h, ...facts }: Sized, page: string, [x, y]: [number, number]): NewMark {
  const box = { x: round(x - w / 2), y: round(y - h / 2), w: round(w), h: round(h) };
  return { id: newId(), page, kind: 'prop' in facts ? 'prop' : 'image', ink: 'slate', ...facts, ...box };
}

/** @returns what a slide, or a picture, of a material is on a page: small enough to leave room, pictures never larger than they are */
export function slideSized(material: Material, slide: Slide): Sized {
  const picture = material.kind === 'picture';
  const scale = Math.min(WIDEST / slide.w, HIGHEST / slide.h, picture ? 1 : Infinity);
  const words = slide.words.split('\n')[0];
  const alt = (picture ? material.title : `${material.title}, slide ${slide.slide}: ${words}`).slice(0, MOST_ALT);
  const { id, version } = material;
  return { material: id, version, slide: slide.slide, alt, w: slide.w * scale, h: slide.h * scale };
}
