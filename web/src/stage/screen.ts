import { SIMULATED } from './devices';
import { simulatedScreen } from './simulated';

/** A screen, window or tab that is shared, with its sound where there is any. */
export interface Shared {
  picture: MediaStreamTrack;
  /** All that is sent now. */
  tracks: () => MediaStreamTrack[];
  /** What everybody sees while one looks something up: the last picture, again and again, so that late arrivals see it too. */
  still: () => Promise<MediaStreamTrack>;
  live: () => MediaStreamTrack;
  stop: () => void;
}

/** Frames of a picture that stands still, in a second. */
const STILL_FRAMES = 2;

/** Which screen is shared where a browser cannot show what there is to choose from, as on a machine without one. */
const simulated = () => localStorage.getItem('veranda.screen') === SIMULATED;

/** @returns whether this browser can share a screen; phones cannot */
export const canShare = () => simulated() || 'getDisplayMedia' in (navigator.mediaDevices ?? {});

/**
 * Lets one choose what is shared.
 * @returns null when one chose nothing
 */
export async function chooseScreen(name: string): Promise<Shared | null> {
  if (simulated()) {
    const { track, stop } = simulatedScreen(name);
    return shared(track, [], stop);
  }
  try {
    const wish = { video: { frameRate: { ideal: 15, max: 30 } }, audio: true };
    const stream = await navigator.mediaDevices.getDisplayMedia(wish);
    const picture = stream.getVideoTracks()[0]!;
    return shared(picture, stream.getAudioTracks(), () => stream.getTracks().forEach((track) => track.stop()));
  } catch (error) {
    if (error instanceof DOMException && (error.name === 'NotAllowedError' || error.name === 'AbortError')) return null;
    throw error;
  }
}

/** @returns a picture of what a track shows just now */
export async function momentOf(track: MediaStreamTrack): Promise<HTMLCanvasElement> {
  const video = Object.assign(document.createElement('video'), { muted: true, srcObject: new MediaStream([track]) });
  await video.play();
  if (video.videoWidth === 0) await new Promise((seen) => video.addEventListener('loadeddata', seen, { once: true }));
  const { videoWidth: width, videoHeight: height } = video;
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  canvas.getContext('2d')!.drawImage(video, 0, 0);
  video.pause();
  return canvas;
}

function shared(picture: MediaStreamTrack, sounds: MediaStreamTrack[], stop: () => void): Shared {
  // Words on it are to be read, even where it moves less smoothly.
  picture.contentHint = 'detail';
  let held: { track: MediaStreamTrack; timer: ReturnType<typeof setInterval> } | null = null;
  const letGo = () => {
    held?.track.stop();
    clearInterval(held?.timer);
    held = null;
  };
  return {
    picture,
    tracks: () => [held?.track ?? picture, ...sounds],
    async still() {
      const canvas = await momentOf(picture);
      letGo();
      const pen = canvas.getContext('2d')!;
      // A canvas sends a frame whenever it is drawn on.
      const timer = setInterval(() => pen.drawImage(canvas, 0, 0), 1_000 / STILL_FRAMES);
      held = { track: canvas.captureStream(STILL_FRAMES).getVideoTracks()[0]!, timer };
      sounds.forEach((sound) => (sound.enabled = false));
      return held.track;
    },
    live() {
      letGo();
      sounds.forEach((sound) => (sound.enabled = true));
      return picture;
    },
    stop() {
      letGo();
      stop();
    },
  };
}
