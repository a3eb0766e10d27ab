/** Where the pictures of a material's slides are. Versions never change, so they may be kept for good. */
export const slideAddress = (material: string, version: number, slide: number) =>
  `/api/materials/${material}/${version}/slides/${slide}`;

export const thumbnailAddress = (material: string, version: number, slide: number) =>
  `/api/materials/${material}/${version}/thumbnails/${slide}`;
