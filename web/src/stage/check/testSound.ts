import { sendTo } from '../devices';

/** Hz of its notes, and s that each lasts. */
const NOTES = [392, 523, 659];
const LASTS = 0.35;

/** Plays three notes on the speaker that is chosen. @returns once they are over */
export async function testSound(): Promise<void> {
  const context = new AudioContext();
  const out = context.createMediaStreamDestination();
  NOTES.forEach((hz, i) => {
    const note = context.createOscillator();
    const loudness = context.createGain();
    const from = context.currentTime + 0.1 + i * LASTS;
    note.frequency.value = hz;
    loudness.gain.setValueAtTime(0, from);
    loudness.gain.linearRampToValueAtTime(0.4, from + 0.03);
    loudness.gain.linearRampToValueAtTime(0, from + LASTS);
    note.connect(loudness).connect(out);
    note.start(from);
    note.stop(from + LASTS);
  });
  const speaker = new Audio();
  speaker.srcObject = out.stream;
  await sendTo(speaker);
  await context.resume();
  await speaker.play();
  await new Promise((done) => setTimeout(done, (NOTES.length * LASTS + 0.3) * 1_000));
  speaker.srcObject = null;
  await context.close();
}
