import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NewDevice } from '../NewDevice';
import { chosen } from '../devices';
import type { Stage } from '../Stage';
import { StageContext } from '../useStage';
import { DeviceCheck } from './DeviceCheck';
import { filled, heardAs, peakOf } from './level';
import { sorted } from './useDevices';

afterEach(() => {
  cleanup();
  localStorage.clear();
  Reflect.deleteProperty(navigator, 'mediaDevices');
});

const device = (kind: MediaDeviceKind, deviceId: string, label = '') => ({ kind, deviceId, label }) as MediaDeviceInfo;

/** What is plugged in; `plug` adds to it as a browser tells. */
function plugged(...first: MediaDeviceInfo[]) {
  let there = first;
  const devices = Object.assign(new EventTarget(), {
    enumerateDevices: async () => there,
    getUserMedia: async () => {
      throw new DOMException('', 'NotFoundError');
    },
  });
  Object.defineProperty(navigator, 'mediaDevices', { value: devices, configurable: true });
  return async (...more: MediaDeviceInfo[]) => {
    there = [...there, ...more];
    await act(async () => void devices.dispatchEvent(new Event('devicechange')));
  };
}

describe('how loud one is', () => {
  it('is told in words from nothing to too much', () => {
    const words = [0, 0.003, 0.1, 1].map((most) => heardAs(peakOf(new Float32Array([0, -most, most / 2]))));
    expect(words).toEqual(['not', 'faintly', 'well', 'too loud']);
    expect([filled(-Infinity), filled(0), filled(-35)]).toEqual([0, 1, 0.5]);
  });
});

describe('what is plugged in', () => {
  it('is sorted by what it is for, with a number where it has no name, and without the usual one twice', () => {
    const found = sorted([
      device('audioinput', 'default', 'Default'),
      device('audioinput', 'a', 'Desk microphone'),
      device('videoinput', 'b'),
      device('audiooutput', ''),
    ]);
    expect(found).toEqual({
      microphone: [{ id: 'a', name: 'Desk microphone' }],
      camera: [{ id: 'b', name: 'Number 1' }],
      speaker: [],
    });
  });
});

describe('the check of devices', () => {
  beforeEach(() => void plugged(device('audioinput', 'a', 'Desk microphone')));

  it('opens nothing by itself, and says in words what is missing', async () => {
    render(<DeviceCheck name="Farah Lindqvist" onClose={() => {}} />);
    expect(screen.queryByRole('alert')).toBeNull();
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Try the camera' })));
    expect(screen.getByRole('alert').textContent).toContain('No camera was found.');
  });

  it('keeps what was chosen, and says that it was', async () => {
    const told = vi.fn();
    render(<DeviceCheck name="Farah Lindqvist" onChosen={told} onClose={() => {}} />);
    await act(async () => {});
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Which microphone' }));
    fireEvent.click(screen.getByRole('option', { name: 'Desk microphone' }));
    expect([chosen('microphone'), told.mock.calls]).toEqual(['a', [['microphone']]]);
  });
});

describe('something that is plugged in during class', () => {
  it('is asked about once, and used only if one wishes', async () => {
    const plug = plugged(device('audioinput', 'a', 'Desk microphone'));
    const stage = { change: vi.fn() };
    render(
      <StageContext value={stage as unknown as Stage}>
        <NewDevice />
      </StageContext>,
    );
    await act(async () => {});
    expect(screen.queryByRole('status')).toBeNull();
    await plug(device('videoinput', 'b', 'Small camera'));
    expect(screen.getByRole('status').textContent).toBe('A camera was plugged in: Small camera.');
    fireEvent.click(screen.getByRole('button', { name: 'Use it' }));
    expect([chosen('camera'), stage.change.mock.calls]).toEqual(['b', [['camera']]]);
    await plug();
    expect(screen.queryByRole('status')).toBeNull();
  });
});
