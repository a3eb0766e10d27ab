import { useState } from 'react';
import { Refused } from '../api/http';
import type { Material, MaterialFacts, Slide } from '../api/shapes';
import { untilReady, upload } from '../api/upload';
import { newId } from '../live/LiveClient';
import type { NewMark } from '../live/board';
import { round } from './geometry/boxes';
import type { PropFacts } from './props/NewProp';
import type { BoardCommands } from './useBoardCommands';

/** Pictures come at most this large, in page px. */
const WIDEST = 760;
const HIGHEST = 560;
const ASIDE = 40;

/** Puts slides, pictures and props on a page. Pictures from elsewhere go to the shelf first. */
export function useBringing(course: string | null, page: string, commands: BoardCommands) {
  const [says, setSays] = useState<string | null>(null);

  const put = ({ w, h, ...facts }: PropFacts | (Partial<NewMark> & { w: number; h: number }), at: [number, number]) => {
    const place = { x: round(at[0] - w / 2), y: round(at[1] - h / 2), w: round(w), h: round(h) };
    const kind = 'prop' in facts ? 'prop' : 'image';
    void commands.put({ id: newId(), page, kind, ink: 'slate', ...facts, ...place });
  };

  const place = (material: Material, slide: Slide, at: [number, number]) => {
    const scale = Math.min(WIDEST / slide.w, HIGHEST / slide.h, material.kind === 'picture' ? 1 : Infinity);
    const words = slide.words.split('\n')[0];
    const alt = (
      material.kind === 'picture' ? material.title : `${material.title}, slide ${slide.slide}: ${words}`
    ).slice(0, 480);
    const { id, version } = material;
    put({ material: id, version, slide: slide.slide, alt, w: slide.w * scale, h: slide.h * scale }, at);
  };

  const one = async (file: File, at: [number, number]) => {
    setSays(`Bringing “${file.name}” to the shelf`);
    const id = await upload(file, {
      course: course!,
      label: file.type.startsWith('image/') ? 'from a board' : undefined,
    });
    const material = await untilReady<MaterialFacts>(`/api/materials/${id}`);
    if (material.state === 'failed') return setSays(material.findings[0]?.says ?? 'This file could not be opened.');
    const first = material.slides[0];
    if (material.kind === 'picture' && first) {
      place(material, first, at);
      return setSays(null);
    }
    setSays(`“${material.title}” is on the shelf.`);
  };

  /** Files that were dropped or pasted on the paper. */
  const bring = async (files: File[], at: [number, number]) => {
    if (!course) return setSays('Only instructors and assistants bring files here.');
    for (const [i, file] of files.entries()) {
      try {
        await one(file, [at[0] + i * ASIDE, at[1] + i * ASIDE]);
      } catch (error) {
        setSays(error instanceof Refused ? error.message : 'The upload broke off. Bring the file again.');
      }
    }
  };

  return { says, put, place, bring };
}
