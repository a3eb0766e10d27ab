import { initials } from '../parts/words/people';

/** Frames of the drawn picture in a second. */
const FRAMES = 12;
const [WIDTH, HEIGHT] = [320, 240];

/** A track that was made here, and how it is let go of. */
export interface Made {
  track: MediaStreamTrack;
  stop: () => void;
}

/**
 * A voice-like tone (two formants of a falling and rising note, in syllables) for machines without a microphone. Each person has a pitch of
 * their own.
 * @param name whose voice it is
 */
export function simulatedVoice(name: string): Made {
  const context = new AudioContext();
  const out = context.createMediaStreamDestination();
  const voice = context.createOscillator();
  voice.type = 'sawtooth';
  voice.frequency.value = 110 + ([...name].reduce((sum, letter) => sum + letter.codePointAt(0)!, 0) % 12) * 10;
  // Formants of an open vowel, in Hz.
  const mouth = [730, 1_090].map((hz) => {
    const filter = context.createBiquadFilter();
    filter.type = 'bandpass';
    filter.frequency.value = hz;
    filter.Q.value = 4;
    return filter;
  });
  const syllables = context.createGain();
  syllables.gain.value = 0.5;
  const pace = context.createOscillator();
  pace.frequency.value = 3;
  const depth = context.createGain();
  depth.gain.value = 0.3;
  pace.connect(depth).connect(syllables.gain);
  mouth.forEach((filter) => voice.connect(filter).connect(syllables));
  syllables.connect(out);
  [voice, pace].forEach((one) => one.start());
  void context.resume();
  const track = out.stream.getAudioTracks()[0]!;
  const stop = () => {
    track.stop();
    void context.close();
  };
  return { track, stop };
}

/** A picture that is drawn anew some times in a second. */
function drawn(width: number, height: number, draw: (pen: CanvasRenderingContext2D, now: Date) => void): Made {
  const canvas = Object.assign(document.createElement('canvas'), { width, height });
  const pen = canvas.getContext('2d')!;
  const again = () => draw(pen, new Date());
  again();
  const timer = setInterval(again, 1_000 / FRAMES);
  const track = canvas.captureStream(FRAMES).getVideoTracks()[0]!;
  const stop = () => {
    clearInterval(timer);
    track.stop();
  };
  return { track, stop };
}

const clock = (now: Date) => now.toTimeString().slice(0, 8);

/** A picture with somebody's initials and a running clock, for machines without a camera. */
export const simulatedPicture = (name: string): Made =>
  drawn(WIDTH, HEIGHT, (pen, now) => {
    pen.fillStyle = '#DCE9E6';
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    pen.fillStyle = '#17665E';
    pen.fillRect(0, HEIGHT - 10, (WIDTH * (now.getMilliseconds() + (now.getSeconds() % 10) * 1_000)) / 10_000, 10);
    pen.textAlign = 'center';
    pen.fillStyle = '#23313A';
    pen.font = 'bold 96px sans-serif';
    pen.fillText(initials(name), WIDTH / 2, 140);
    pen.font = '28px sans-serif';
    pen.fillText(clock(now), WIDTH / 2, 200);
  });

const [SCREEN_WIDTH, SCREEN_HEIGHT] = [1280, 720];
/** ms in which the boat goes all the way. */
const VOYAGE = 20_000;

/** A screen with a chart on it along which a boat goes, for machines that have none to show. */
export const simulatedScreen = (name: string): Made =>
  drawn(SCREEN_WIDTH, SCREEN_HEIGHT, (pen, now) => {
    pen.fillStyle = '#EAF1F4';
    pen.fillRect(0, 0, SCREEN_WIDTH, SCREEN_HEIGHT);
    pen.fillStyle = '#F2E3B8';
    pen.beginPath();
    pen.ellipse(240, 520, 420, 300, 0.4, 0, 7);
    pen.ellipse(1_120, 160, 380, 260, -0.3, 0, 7);
    pen.fill();
    pen.strokeStyle = '#8A5A12';
    pen.lineWidth = 3;
    pen.setLineDash([14, 12]);
    pen.beginPath();
    pen.moveTo(40, 80);
    pen.bezierCurveTo(420, 120, 760, 560, 1_240, 640);
    pen.stroke();
    pen.setLineDash([]);
    const way = (now.getTime() % VOYAGE) / VOYAGE;
    pen.fillStyle = '#A8412A';
    pen.beginPath();
    pen.arc(40 + 1_200 * way, 80 + 560 * way * way * (3 - 2 * way), 14, 0, 7);
    pen.fill();
    pen.fillStyle = '#23313A';
    pen.font = '30px sans-serif';
    pen.fillText(`Corran Narrows, as ${name} has it`, 40, SCREEN_HEIGHT - 36);
    pen.fillText(clock(now), SCREEN_WIDTH - 180, SCREEN_HEIGHT - 36);
  });
