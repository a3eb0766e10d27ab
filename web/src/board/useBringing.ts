import { useState } from 'react';
import { Refused } from '../api/http';
import type { Material, MaterialFacts, Slide } from '../api/shapes';
import { untilReady, upload } from '../api/upload';

/** Of several files at once, each lies this far from the one before, in page px. */
const ASIDE = 40;

/** Brings files that were dropped or pasted on the paper to the shelf, and what is a picture from there to the page. */
export function useBringing(
  course: string | null,
  onPicture: (material: Material, slide: Slide, at: [number, number]) => void,
) {
  const [says, setSays] = useState<string | null>(null);

  const one = async (file: File, at: [number, number]) => {
    setSays(`Bringing “${file.name}” to the shelf`);
    const id = await upload(file, {
      course: course!,
      label: file.type.startsWith('image/') ? 'from a board' : undefined,
    });
    const material = await untilReady<MaterialFacts>(`/api/materials/${id}`);
    if (material.state === 'failed') return setSays(material.findings[0]?.says ?? 'This file could not be opened.');
    const first = material.slides[0];
    if (material.kind !== 'picture' || !first) return setSays(`“${material.title}” is on the shelf.`);
    onPicture(material, first, at);
    setSays(null);
  };

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

  return { says, bring };
}
