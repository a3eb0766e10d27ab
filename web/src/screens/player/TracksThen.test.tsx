import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { RecordingFacts } from '../../api/shapes';
import { Recorder } from './Recorder';
import { TracksThen } from './TracksThen';

describe('what was heard', () => {
  it('may be loaded after it has left the page', () => {
    const recorder = new Recorder('s', 60_000, [[1_000, 61_000]]);
    recorder.time = 5_000;
    const track = { id: 't', person: 'farah', kind: 'sound', from: 1_000, length: 60_000 };
    const facts = { id: 's', people: [], tracks: [track] } as unknown as RecordingFacts;
    const { unmount } = render(
      <TracksThen recorder={recorder} facts={facts} large={false} onLarge={() => undefined} />,
    );
    const sound = screen.getByTestId('track-sound');
    const wrong: unknown[] = [];
    const note = (event: ErrorEvent) => {
      event.preventDefault();
      wrong.push(event.error);
    };
    window.addEventListener('error', note);
    sound.dispatchEvent(new Event('loadedmetadata'));
    unmount();
    sound.dispatchEvent(new Event('loadedmetadata'));
    window.removeEventListener('error', note);
    expect(wrong).toEqual([]);
  });
});
