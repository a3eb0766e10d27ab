/** ms that a clip is waited for. */
const PATIENCE = 15_000;

const CLOSED = 'The site of this video lets no picture of it be made. Open it, and share the screen instead.';
const SLOW = 'The clip did not come in time. Try again.';

/**
 * @param src address of a clip
 * @param at ms into it
 * @returns the picture it shows there
 * @throws Error in words for whoever asked
 */
export async function momentOfClip(src: string, at: number): Promise<HTMLCanvasElement> {
  const video = Object.assign(document.createElement('video'), { muted: true, preload: 'auto', playsInline: true });
  // A picture made from another site's file may not be read, unless that site says so.
  if (new URL(src, location.href).origin !== location.origin) video.crossOrigin = 'anonymous';
  try {
    await new Promise((there, failed) => {
      setTimeout(() => failed(new Error(SLOW)), PATIENCE);
      video.addEventListener('error', () => failed(new Error(CLOSED)), { once: true });
      video.addEventListener('loadeddata', () => (video.currentTime = at / 1_000), { once: true });
      video.addEventListener('seeked', there, { once: true });
      video.src = src;
    });
    const { videoWidth: width, videoHeight: height } = video;
    const canvas = Object.assign(document.createElement('canvas'), { width, height });
    canvas.getContext('2d')!.drawImage(video, 0, 0);
    return canvas;
  } finally {
    video.removeAttribute('src');
    video.load();
  }
}
